import type { Difference } from '@/core/practice'
import type { Region } from '@/core/region'
import { unreachable } from '@/core/result'
import type {
  BudgetLimit,
  DifferenceQuestion,
  Finding,
  FindingKind,
  Grade,
  Phase,
  Prospect,
  Remark,
  Severity,
  Verdict,
} from '@/core/survey'
import { measured, percent } from '../formats'
import { markName, markTitle } from '../marks'
import { staffPanelName } from './staff-panels'

/** What staff read of the paint: how bad a mark is, what can be done about it, how a panel is judged and why. */

export const SEVERITY_NAME: Record<Severity, string> = { 1: 'light', 2: 'moderate', 3: 'heavy' }

export const VERDICT_NAME: Record<Verdict, string> = {
  'washes-off': 'comes off in the wash',
  'polishes-out': 'polishes out',
  softens: 'can be reduced',
  stays: 'remains',
}

const REMAINS_BECAUSE = {
  nail: 'catches a fingernail: touch up, respray or leave',
  repair: 'polishing cannot mend this',
  'too-little-paint': 'too little paint to spare',
  'too-deep': 'deeper than the paint budget reaches',
} as const

/** Why a mark goes or remains, in a few words. */
export function prospectText(region: Region, prospect: Prospect): string {
  switch (prospect.verdict) {
    case 'washes-off':
      return 'lies on the paint, not in it'
    case 'polishes-out':
    case 'softens':
      return `up to ${percent(region, Math.floor(100 * prospect.cleared))} within the budget`
    case 'stays':
      return REMAINS_BECAUSE[prospect.why]
    default:
      return unreachable(prospect)
  }
}

/** What the readings say of the car as a whole. */
export const REMARK: Record<Remark, string> = {
  'all-high': 'All of it reads high: the whole car may have been resprayed.',
  uneven: 'Its panels differ a lot: parts of it may have been resprayed.',
  'panels-thinner': 'Some panels are thinner than the rest: resprayed thinner, or cut hard before.',
  'respray-told':
    'The owner tells of a respray. What most panels agree on may be that paint, and what stands out the factory’s. Say so on the walk-round, panel by panel, where you know it.',
}

/** What is asked about a difference that no polishing makes. */
/** The two rounds of readings of a visit, by which a button chooses one and other screens speak of it. */
export const ROUND_NAME: Record<Phase, string> = {
  before: 'This visit, before',
  after: 'This visit, after',
}

export const DIFFERENCE_QUESTION: Record<DifferenceQuestion, string> = {
  grown: 'Paint does not grow. Was the same panel read, and was the gauge zeroed?',
  'too-much-gone': 'No polishing removes that much. Was the same panel read, and was the gauge zeroed?',
}

export const FINDING_NAME: Record<FindingKind, string> = {
  'not-read': 'Not measured yet',
  unreadable: 'Cannot be measured',
  film: 'Under film',
  'too-few': 'Too few readings',
  'no-level': 'Nothing to compare with',
  original: 'Original',
  thin: 'Thin',
  thinner: 'Thinner than the rest',
  'all-high': 'High all over',
  repainted: 'Resprayed',
  'filler-likely': 'Possible filler',
}

const ONLY_OVER_METAL = 'the gauge reads only over metal, so only the mildest methods are allowed.'
const UNREADABLE_BECAUSE = {
  plastic: `Plastic: ${ONLY_OVER_METAL}`,
  composite: `Composite: ${ONLY_OVER_METAL}`,
  gelcoat:
    'Gelcoat: no gauge reads it, but it is thick. The test spot chooses the method, and the gloss says when to stop.',
  'bare-metal': 'Bare metal: there is no paint to judge or to polish.',
} as const

/** Why a panel is judged as it is, in one sentence. */
export function findingText(region: Region, finding: Finding): string {
  const depth = (um: number) => measured(region, 'depth', um, 1)
  switch (finding.kind) {
    case 'not-read':
      return 'No readings here yet.'
    case 'unreadable':
      return UNREADABLE_BECAUSE[finding.why]
    case 'film':
      return finding.why === 'wrap'
        ? 'A wrap or film covers the paint. It is not polished.'
        : 'This panel has film on it (PPF or wrap). It is not polished, and the paint beneath cannot be judged.'
    case 'too-few':
      return 'One reading is not enough. Take at least one more.'
    case 'no-level':
      return `Measure at least ${finding.panels} metal panels: before that nobody can say what is usual on this car.`
    case 'thinner':
      return `${depth(finding.belowBaselineUm)} below the rest of the car: resprayed thinner, or cut hard before.`
    case 'all-high':
      return `In line with the rest of the car, but ${depth(finding.levelUm)} is more than a factory leaves: the whole car may have been resprayed.`
    case 'original':
      return `In line with the rest of the car (${finding.aboveBaselineUm >= 0 ? '+' : '−'}${depth(Math.abs(finding.aboveBaselineUm))}).`
    case 'thin':
      return `The thinnest spot (${depth(finding.lowestSpotUm)}) is at the safe minimum once gauge error is allowed for.`
    case 'repainted':
      return `${depth(finding.aboveBaselineUm)} above the rest of the car; more than ${depth(finding.stepUm)} means a second coat of paint.`
    case 'filler-likely':
      return `A reading of ${depth(finding.highestUm)}: paint alone does not get that thick.`
    default:
      return unreachable(finding)
  }
}

/** What is said of a panel that was told to be something else than the gauge says: the gauge’s figures are not reasons for it. */
export function overruledText(region: Region, { was, why }: { was: Finding; why: string }): string {
  return `Told against the gauge: ${why}. The gauge says “${FINDING_NAME[was.kind].toLowerCase()}”: ${findingText(region, was)}`
}

/** The arithmetic behind one limit of the budget. */
export function limitText(region: Region, limit: BudgetLimit): string {
  const depth = (um: number) => measured(region, 'depth', um, 1)
  switch (limit.rule) {
    case 'gauge':
      return `lowest spot ${depth(limit.lowestSpotUm)} − gauge error ${depth(limit.uncertaintyUm)} − safe minimum ${depth(limit.floorUm)} = ${depth(limit.limitUm)}`
    case 'lifetime':
      return `lifetime ${depth(limit.lifetimeUm)} − removed before ${depth(limit.alreadyTakenUm)}${limit.takenUncertaintyUm > 0 ? ` − its uncertainty ${depth(limit.takenUncertaintyUm)}` : ''} = ${depth(limit.limitUm)}`
    case 'method':
      return limit.readable
        ? `least aggressive method: ${depth(limit.limitUm)} at most`
        : `nothing measured here: ${depth(limit.limitUm)} at most`
    case 'never-cut':
      return limit.why === 'film' ? 'under film: nothing' : 'bare metal: nothing'
    default:
      return unreachable(limit)
  }
}

/** Where a grade of the practice panel is off, in one sentence. */
export function differenceText(region: Region, difference: Difference): string {
  switch (difference.kind) {
    case 'missed':
      return `Not seen: ${markName(region, difference.mark.kind)}, ${SEVERITY_NAME[difference.mark.severity]}, ${percent(region, difference.mark.extentPercent)}.`
    case 'invented':
      return `Not there: ${markName(region, difference.mark)}.`
    case 'severity':
      return `${markTitle(region, difference.mark)}: ${SEVERITY_NAME[difference.truth]}, you said ${SEVERITY_NAME[difference.graded]}.`
    case 'extent':
      return `${markTitle(region, difference.mark)}: on ${percent(region, difference.truth)} of the panel, you said ${percent(region, difference.graded)}.`
    default:
      return unreachable(difference)
  }
}

/** What the condition of a car rests on: how much of it was inspected, and its worst panel. */
export const gradeRestsOn = (region: Region, { inspected, of, worst }: Grade): string =>
  `${inspected === of ? 'all panels' : `${inspected} of ${of} panels`} inspected, worst: ${staffPanelName(region, worst.panel.id)} ${worst.condition.letter}`
