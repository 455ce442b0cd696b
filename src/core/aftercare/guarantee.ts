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

export type GuaranteeRule = {
  id: string
  broken: (claim: GuaranteeCase) => boolean
  reason: string
  remedy: string
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
    reason: 'This product is sold without a guarantee.',
    remedy: 'Offer the repair at its price.',
    weight: 'no',
  },
  {
    id: 'past-its-term',
    broken: ({ months, laidOn, seenOn }) => months > 0 && seenOn > plusMonths(laidOn, months),
    reason: 'The guarantee has run out.',
    remedy: 'Offer the repair at its price, or a new coat for the whole car.',
    weight: 'no',
  },
  {
    id: 'visit-missed',
    broken: missed,
    reason: 'A visit that keeps the guarantee alive was not made.',
    remedy: 'Look whether it was made elsewhere and enter it; else the shop may still choose to be generous.',
    weight: 'no',
  },
  {
    id: 'brush-washed',
    broken: ({ washing }) => washing === 'brush',
    reason: 'It is washed by brushes, which the care sheet rules out.',
    remedy: 'Show the marks under the lamp. Offer the repair at its price.',
    weight: 'no',
  },
  {
    id: 'from-outside',
    broken: ({ cause }) => cause === 'etched' || cause === 'impact',
    reason: 'Something from outside has done it, not the coating.',
    remedy: 'Keep a photograph of it. The owner’s insurance may pay for an accident.',
    weight: 'no',
  },
  {
    id: 'painted-since',
    broken: ({ cause }) => cause === 'repainted',
    reason: 'The panel was painted since; what was laid is gone with the old paint.',
    remedy: 'Coat it anew once the fresh paint has gassed out, at its price.',
    weight: 'no',
  },
  {
    id: 'not-tested-clean',
    broken: ({ look }) => !look.cleaned,
    reason: 'It was not decontaminated before the test. Dirt hides a coating that is still there.',
    remedy: 'Take iron and tar off, wipe the panel, and test the water again.',
    weight: 'ask',
  },
  {
    id: 'cause-unknown',
    broken: ({ cause }) => cause === 'unknown',
    reason: 'Nobody has said what did it.',
    remedy: 'Look under the lamp and at eye level for etching or scrapes, and enter what you see.',
    weight: 'ask',
  },
]

export type GuaranteeAnswer = { kind: 'yes' } | { kind: 'ask' | 'no'; broken: readonly GuaranteeRule[] }

/** Yes, no with every reason, or what must be found out first. */
export function guaranteeFor(claim: GuaranteeCase): GuaranteeAnswer {
  const broken = GUARANTEE_RULES.filter((rule) => rule.broken(claim))
  const no = broken.filter(({ weight }) => weight === 'no')
  if (no.length > 0) return { kind: 'no', broken: no }
  return broken.length > 0 ? { kind: 'ask', broken } : { kind: 'yes' }
}
