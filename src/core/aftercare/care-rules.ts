import type { Use } from './exposure'

/** What an owner should do and should not. Later rules are for some cars only. */
type Rule = {
  id: string
  kind: 'do' | 'do-not'
  applies: (car: CareSubject) => boolean
}

/** What the rules look at: how the car lives, what was applied to it, and whether the shop guarantees it. */
export type CareSubject = Use & { coated: boolean; seaAir: boolean; guaranteed: boolean }

/** A rule that holds for a car, with what its words have to know. */
export type CareRule = { id: CareRuleId; kind: Rule['kind']; guaranteed: boolean }

const always = () => true

/** Common practice, but for the days and weeks, which are remembered. */
export const CARE_RULES = [
  {
    id: 'two-buckets',
    kind: 'do',
    applies: always,
  },
  {
    id: 'dry-by-touch',
    kind: 'do',
    applies: always,
  },
  {
    id: 'droppings-at-once',
    kind: 'do',
    applies: always,
  },
  {
    id: 'topper-as-aid',
    kind: 'do',
    applies: ({ coated }) => coated,
  },
  {
    id: 'rinse-salt',
    kind: 'do',
    applies: ({ salted, seaAir }) => salted || seaAir,
  },
  {
    id: 'iron-and-tar',
    kind: 'do',
    applies: ({ coated }) => coated,
  },
  {
    id: 'no-brushes',
    kind: 'do-not',
    applies: always,
  },
  {
    id: 'no-harsh',
    kind: 'do-not',
    applies: always,
  },
  {
    id: 'no-sun',
    kind: 'do-not',
    applies: always,
  },
  {
    id: 'no-polish',
    kind: 'do-not',
    applies: ({ coated }) => coated,
  },
  {
    id: 'hard-water-spots',
    kind: 'do-not',
    applies: ({ hardWater }) => hardWater,
  },
  {
    id: 'street-cover',
    kind: 'do-not',
    applies: ({ storage }) => storage === 'street' || storage === 'carport',
  },
] as const satisfies readonly Rule[]

export type CareRuleId = (typeof CARE_RULES)[number]['id']

export function careRulesFor(car: CareSubject): CareRule[] {
  const { guaranteed } = car
  return CARE_RULES.filter(({ applies }) => applies(car)).map(({ id, kind }) => ({ id, kind, guaranteed }))
}
