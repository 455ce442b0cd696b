import { unreachable } from '../result'
import type { BudgetLimit } from './budget'
import type { Finding, FindingKind } from './finding'

const um = (value: number) => `${value.toFixed(1)} µm`

export const FINDING_NAME: Record<FindingKind, string> = {
  'not-read': 'Not read yet',
  unreadable: 'Cannot be read',
  film: 'Under film',
  'too-few': 'Too few readings',
  original: 'Original',
  thin: 'Thin',
  repainted: 'Repainted',
  'filler-likely': 'Filler likely',
}

const ONLY_OVER_METAL = 'the gauge reads only over metal, so only the mildest methods are open.'
const UNREADABLE_BECAUSE = {
  plastic: `Plastic: ${ONLY_OVER_METAL}`,
  composite: `Composite: ${ONLY_OVER_METAL}`,
  gelcoat: `Gelcoat: ${ONLY_OVER_METAL}`,
  'bare-metal': 'Bare metal: there is no paint to judge or to cut.',
} as const

/** Why a panel is judged as it is, in one sentence. */
export function findingReason(finding: Finding): string {
  switch (finding.kind) {
    case 'not-read':
      return 'Nothing read here yet.'
    case 'unreadable':
      return UNREADABLE_BECAUSE[finding.why]
    case 'film':
      return finding.why === 'wrap'
        ? 'A wrap or film covers the paint. Nothing is cut.'
        : 'A film lies on this panel. Nothing is cut, and the paint beneath cannot be judged.'
    case 'too-few':
      return finding.n < 2
        ? 'One reading proves nothing. Take at least one more.'
        : 'No other metal panel has been read yet to compare it with.'
    case 'original':
      return `Within reach of the car's own level (${finding.aboveBaselineUm >= 0 ? '+' : '−'}${um(Math.abs(finding.aboveBaselineUm))}).`
    case 'thin':
      return `The lowest spot, ${um(finding.lowestSpotUm)}, leaves nothing above the floor once the gauge's error is taken off.`
    case 'repainted':
      return `${um(finding.aboveBaselineUm)} above the car's own level; more than ${um(finding.stepUm)} means a second coat of paint.`
    case 'filler-likely':
      return `A reading of ${um(finding.highestUm)}: paint alone does not get that thick.`
    default:
      return unreachable(finding)
  }
}

/** The arithmetic behind one limit, as it stands on the screen. */
export function limitArithmetic(limit: BudgetLimit): string {
  switch (limit.rule) {
    case 'gauge':
      return `lowest spot ${um(limit.lowestSpotUm)} − gauge error ${um(limit.uncertaintyUm)} − floor ${um(limit.floorUm)} = ${um(limit.limitUm)}`
    case 'lifetime':
      return `lifetime ${um(limit.lifetimeUm)} − taken before ${um(limit.alreadyTakenUm)}${limit.takenUncertaintyUm > 0 ? ` (± ${limit.takenUncertaintyUm.toFixed(1)})` : ''} = ${um(limit.limitUm)}`
    case 'method':
      return limit.readable
        ? `least aggressive method: ${um(limit.limitUm)} at most`
        : `nothing measured here: ${um(limit.limitUm)} at most`
    case 'never-cut':
      return limit.why === 'film' ? 'under film: nothing' : 'bare metal: nothing'
    default:
      return unreachable(limit)
  }
}
