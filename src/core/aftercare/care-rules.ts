import type { Use } from './exposure'

/** What an owner should do and should not, in plain words, with the reason. Later rules are for some cars only. */
export type CareRule = {
  id: string
  kind: 'do' | 'do-not'
  text: string
  reason: string
  applies: (car: CareSubject) => boolean
}

/** What the rules look at: how the car lives, and what lies on it. */
export type CareSubject = Use & { coated: boolean; seaAir: boolean }

const always = () => true

/** Common practice, but for the days and weeks, which are remembered. */
export const CARE_RULES: readonly CareRule[] = [
  {
    id: 'two-buckets',
    kind: 'do',
    text: 'Wash with two buckets, a clean mitt and a mild shampoo.',
    reason: 'Grit stays in the second bucket instead of going back onto the paint.',
    applies: always,
  },
  {
    id: 'dry-by-touch',
    kind: 'do',
    text: 'Dry it with a soft towel laid on and drawn off.',
    reason: 'Water that dries by itself leaves its lime behind.',
    applies: always,
  },
  {
    id: 'droppings-at-once',
    kind: 'do',
    text: 'Soak droppings and sap with a wet cloth within the day, then lift them off.',
    reason: 'They etch through a coating in a day or two of sun; rubbing dry scratches.',
    applies: always,
  },
  {
    id: 'topper-as-aid',
    kind: 'do',
    text: 'Use the topper as a drying aid once or twice a month.',
    reason: 'It takes the wear that the coating would take.',
    applies: ({ coated }) => coated,
  },
  {
    id: 'rinse-salt',
    kind: 'do',
    text: 'Rinse the salt off every week in winter, sills and arches too.',
    reason: 'Salt stays wet and goes on working.',
    applies: ({ salted, seaAir }) => salted || seaAir,
  },
  {
    id: 'iron-and-tar',
    kind: 'do',
    text: 'Have iron and tar taken off at the visit.',
    reason: 'They sit through the coating and make it look dead where it is only dirty.',
    applies: ({ coated }) => coated,
  },
  {
    id: 'no-brushes',
    kind: 'do-not',
    text: 'No brush tunnel, not even once.',
    reason: 'The brushes carry the grit of every car before yours. It also ends the guarantee.',
    applies: always,
  },
  {
    id: 'no-harsh',
    kind: 'do-not',
    text: 'No strong degreaser, no traffic-film remover on the paint.',
    reason: 'They take the coating off little by little.',
    applies: always,
  },
  {
    id: 'no-sun',
    kind: 'do-not',
    text: 'Do not wash it hot or in the sun.',
    reason: 'Shampoo and water dry to spots faster than you can rinse.',
    applies: always,
  },
  {
    id: 'no-polish',
    kind: 'do-not',
    text: 'Do not polish it, not with anything that says cleaner either.',
    reason: 'Polish takes the coating first and the paint after it.',
    applies: ({ coated }) => coated,
  },
  {
    id: 'hard-water-spots',
    kind: 'do-not',
    text: 'Do not let your tap water dry on it.',
    reason: 'Your water is hard; its spots etch. Rinse last with filtered or rain water where you can.',
    applies: ({ hardWater }) => hardWater,
  },
  {
    id: 'street-cover',
    kind: 'do-not',
    text: 'Do not cover it while it is damp or dusty.',
    reason: 'A cover rubs, and what is under it cannot dry.',
    applies: ({ storage }) => storage === 'street' || storage === 'carport',
  },
]

export function careRulesFor(car: CareSubject): CareRule[] {
  return CARE_RULES.filter(({ applies }) => applies(car))
}
