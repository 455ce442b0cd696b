import { daysBetween, type LocalDay, plusMonths } from '../time'
import type { Washing } from '../vehicle'
import type { Cause, Look } from './look'

/** Whether the shop stands for a panel that has failed. Rules as data, so that a refusal can be said and argued with. */

export type GuaranteeCase = {
  laidOn: LocalDay
  seenOn: LocalDay
  /** How long the shop stands for the product, months; 0 for one that has no guarantee. */
  months: number
  /** Ends of the windows in which a visit was due, each with the day of the visit that kept it, if one did. */
  visits: readonly { until: LocalDay; keptOn?: LocalDay }[]
  washing: Washing
  look: Pick<Look, 'cleaned'>
  cause: Cause
}

export const GUARANTEE_RULE_IDS = [
  'no-guarantee',
  'past-its-term',
  'visit-missed',
  'brush-washed',
  'from-outside',
  'painted-since',
  'not-tested-clean',
  'cause-unknown',
] as const
export type GuaranteeRuleId = (typeof GUARANTEE_RULE_IDS)[number]

export type GuaranteeRule = {
  id: GuaranteeRuleId
  broken: (claim: GuaranteeCase) => boolean
  /** What is not known yet is asked first; the others say no. */
  weight: 'ask' | 'no'
}

/** So many days after its window a visit still counts (mem). */
const GRACE_DAYS = 60

const missed = ({ visits, seenOn }: GuaranteeCase) =>
  visits.some(({ until, keptOn }) => until < seenOn && (!keptOn || daysBetween(until, keptOn) > GRACE_DAYS))

export const GUARANTEE_RULES: readonly GuaranteeRule[] = [
  {
    id: 'no-guarantee',
    broken: ({ months }) => months === 0,
    weight: 'no',
  },
  {
    id: 'past-its-term',
    broken: ({ months, laidOn, seenOn }) => months > 0 && seenOn > plusMonths(laidOn, months),
    weight: 'no',
  },
  {
    id: 'visit-missed',
    broken: missed,
    weight: 'no',
  },
  {
    id: 'brush-washed',
    broken: ({ washing }) => washing === 'brush',
    weight: 'no',
  },
  {
    id: 'from-outside',
    broken: ({ cause }) => cause === 'etched' || cause === 'impact',
    weight: 'no',
  },
  {
    id: 'painted-since',
    broken: ({ cause }) => cause === 'repainted',
    weight: 'no',
  },
  {
    id: 'not-tested-clean',
    broken: ({ look }) => !look.cleaned,
    weight: 'ask',
  },
  {
    id: 'cause-unknown',
    broken: ({ cause }) => cause === 'unknown',
    weight: 'ask',
  },
]

/** `washed` where the owner has said how it is washed, and that it is so as the care sheet asks. */
export type GuaranteeAnswer =
  | { kind: 'yes'; washed: boolean }
  | { kind: 'ask' | 'no'; broken: readonly GuaranteeRule[] }

/** Yes, no with every reason, or what must be found out first. */
export function guaranteeFor(claim: GuaranteeCase): GuaranteeAnswer {
  const broken = GUARANTEE_RULES.filter((rule) => rule.broken(claim))
  const no = broken.filter(({ weight }) => weight === 'no')
  if (no.length > 0) return { kind: 'no', broken: no }
  return broken.length > 0 ? { kind: 'ask', broken } : { kind: 'yes', washed: claim.washing !== 'unknown' }
}
