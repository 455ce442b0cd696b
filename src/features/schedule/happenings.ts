import type { JobId, OperationId } from '@/core/ids'
import type { EquipmentKind, Outage } from '@/core/planning'
import type { TypedCarEvent, TypedOutage } from '@/core/planning/outage-told'
import type { Instant } from '@/core/time'
import type { TypedMoment } from '@/ui/moment-input'

/** What can happen to a plan: to people, cars, bays and things, or the weather. */
export type Happening = TypedOutage['what']['kind'] | TypedCarEvent['kind'] | 'lent' | 'frost' | 'longer'

export const HAPPENINGS: readonly { of: string; all: readonly { value: Happening; name: string }[] }[] = [
  {
    of: 'People',
    all: [
      { value: 'person', name: 'Somebody is away or late' },
      { value: 'extra', name: 'Somebody stays longer or comes in' },
      { value: 'lent', name: 'Somebody is lent to us' },
    ],
  },
  {
    of: 'Cars',
    all: [
      { value: 'comes', name: 'A car comes at another time' },
      { value: 'stays-away', name: 'A car does not come' },
      { value: 'urgent', name: 'A car is needed sooner' },
      { value: 'longer', name: 'A step takes longer' },
      { value: 'part-missing', name: 'A part has not come' },
      { value: 'back', name: 'Something comes back later' },
    ],
  },
  {
    of: 'Bays and equipment',
    all: [
      { value: 'place', name: 'A bay is out of use' },
      { value: 'equipment', name: 'Equipment is out of use' },
    ],
  },
  {
    of: 'Air, frost and power',
    all: [
      { value: 'air', name: 'The air is too damp' },
      { value: 'frost', name: 'It freezes' },
      { value: 'power', name: 'The power is off' },
    ],
  },
]

/** What to know before it is reported. */
export const NOTES: Partial<Record<Happening, string>> = {
  air: 'Nothing is coated in that time: layers wait for dry air, or are applied before it. All other work goes on.',
  power:
    'Nobody of the house works in that time. What cures or dries goes on; make sure lamps and heaters do not come back on by themselves.',
  frost:
    'Water would freeze in locks and seals: what was to be washed outside is washed without a hose in the bay where the car then stays.',
  'stays-away':
    'It leaves the calendar until you set another day for it. What was agreed with its owner stays.',
  lent: 'They are added to the people of the shop, with the hours of whoever they stand in for, on these days only.',
  equipment: 'One piece less of it can be used in that time.',
}

/** What needs the stretch of time in which it lasts. */
const LASTING: readonly Happening[] = [
  'person',
  'extra',
  'lent',
  'place',
  'equipment',
  'air',
  'power',
  'frost',
]
export const lasts = (happening: Happening) => LASTING.includes(happening)

export type Named = { id: string; name: string }

/** A step that is still to be done, or under way. */
export type OpenStep = { job: JobId; operation: OperationId; plate: string; title: string; begun: boolean }

/** Something that is away, and when it was to be back. */
export type OutThing = { job: JobId; operation: OperationId; name: string; due: TypedMoment }

/** A car that is agreed and in hand: whether its work has begun, and when it was to come and to be fetched. */
export type KnownCar = { job: JobId; name: string; begun: boolean; comes: TypedMoment; promised: TypedMoment }

/** An outage that is known, in words. */
export type KnownOutage = { id: string; name: string; kind: Outage['what']['kind']; until: Instant }

/** Of what and whom there is something to report. */
export type Reportable = {
  steps: OpenStep[]
  away: OutThing[]
  cars: KnownCar[]
  people: Named[]
  subcontractors: Named[]
  places: Named[]
  equipment: { id: EquipmentKind; name: string }[]
}

/** Whether there is anything of the kind that something can happen to. */
export function canHappen(happening: Happening, { away, cars, equipment, steps }: Reportable): boolean {
  switch (happening) {
    case 'back':
      return away.length > 0
    case 'equipment':
      return equipment.length > 0
    case 'comes':
    case 'stays-away':
      return cars.some(({ begun }) => !begun)
    case 'urgent':
      return cars.length > 0
    case 'longer':
    case 'part-missing':
      return steps.length > 0
    default:
      return true
  }
}
