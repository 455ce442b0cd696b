import { expect, test } from 'vitest'
import { toCustomerId, toVehicleId } from '@/core/ids'
import { emptyIntake, intakeSchema } from '@/core/intake/intake'
import { intakeOf } from './known'
import { firstOpenStep, STEPS, stepOf } from './steps'

const TODAY = '2027-01-13'

test('every field of the intake is asked in exactly one stretch', () => {
  const asked = STEPS.flatMap(({ fields }) => fields)
  expect([...asked].sort()).toEqual(Object.keys(emptyIntake(TODAY)).sort())
})

test('what a blank form lacks is what the stretches say they need', () => {
  const checked = intakeSchema.safeParse(emptyIntake(TODAY))
  const lacking = checked.success ? [] : checked.error.issues.map(({ path }) => String(path[0]))
  expect(lacking.sort()).toEqual(STEPS.flatMap(({ needs }) => needs).sort())
})

test('a draft is taken up where the first thing is missing', () => {
  const named = { ...emptyIntake(TODAY), customerName: 'Ita' }
  expect(firstOpenStep(emptyIntake(TODAY))).toBe(0)
  expect(firstOpenStep(named)).toBe(1)
  const known = { ...named, plate: 'IM 1', make: 'Marl', model: 'S', colour: 'Red' }
  expect(firstOpenStep(known)).toBe(stepOf('wishes'))
  expect(firstOpenStep({ ...known, wishes: 'Shiny' })).toBe(STEPS.length - 1)
})

test('a vehicle that comes back only needs today’s wish to be taken in', () => {
  const known = intakeOf({
    customer: {
      id: toCustomerId('c'),
      name: 'Ita',
      phone: '',
      email: '',
      mayRemind: true,
      language: 'en',
      writeBy: 'email',
      tax: 'as-usual',
    },
    vehicle: {
      id: toVehicleId('v'),
      plate: 'IM 1',
      vin: '',
      make: 'Marl',
      model: 'Stonecrop',
      shape: 'van',
      colour: 'Grey',
      colourCode: 'G7',
      paintSystem: 'matte',
      hardness: 'soft',
      storage: 'street',
      washing: 'brush',
      yearlyKm: 24_000,
      salted: true,
      hardWater: false,
      treatments: [{ kind: 'wax', what: '', year: '2024' }],
    },
    visits: 2,
  })
  const intake = intakeSchema.parse({ ...emptyIntake(TODAY), ...known, wishes: 'Again, please' })
  expect(intake).toMatchObject({ vehicleId: 'v', customerId: 'c', yearlyKm: '24000', shape: 'van' })
})
