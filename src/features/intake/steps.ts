import type { Intake } from '@/core/intake/intake'

type Step = {
  title: string
  short: string
  fields: readonly (keyof Intake)[]
  needs: readonly (keyof Intake)[]
}

/** The stretches of the intake: what each asks, and what it cannot do without. */
export const STEPS: readonly Step[] = [
  {
    title: 'Whose is it?',
    short: 'Owner',
    fields: ['customerId', 'customerName', 'phone', 'email', 'mayRemind', 'language', 'writeBy', 'tax'],
    needs: ['customerName'],
  },
  {
    title: 'Which vehicle?',
    short: 'Vehicle',
    fields: [
      'vehicleId',
      'plate',
      'make',
      'model',
      'vin',
      'year',
      'colour',
      'colourCode',
      'shape',
      'length',
      'height',
    ],
    needs: ['plate', 'make', 'model', 'colour'],
  },
  {
    title: 'What is on it?',
    short: 'Paint',
    fields: ['paintSystem', 'finish', 'hardness', 'treatments'],
    needs: [],
  },
  {
    title: 'How does it live?',
    short: 'Life',
    fields: [
      'storage',
      'washing',
      'yearlyKm',
      'salted',
      'hardWater',
      'odometerKm',
      'fuelPercent',
      'keys',
      'belongings',
      'warnings',
    ],
    needs: [],
  },
  {
    title: 'What for, and by when?',
    short: 'Wish',
    fields: ['purpose', 'wishes', 'budget', 'arriveDay', 'wantedBy'],
    needs: ['wishes'],
  },
]

/** The stretch that asks for a field. */
export function stepOf(field: keyof Intake): number {
  return Math.max(
    0,
    STEPS.findIndex(({ fields }) => fields.includes(field)),
  )
}

/** Where somebody who comes back to a draft goes on: the first stretch that lacks something it needs. */
export function firstOpenStep(intake: Intake): number {
  const open = STEPS.findIndex(({ needs }) => needs.some((field) => String(intake[field]).trim() === ''))
  return open < 0 ? STEPS.length - 1 : open
}
