import type { PlaceDefect, VehicleJudgement } from '../survey'
import { type Place, placesOf, type Shape } from '../vehicle'
import type { Skill } from './skill'

/** What is sold beside a package: by the panel, by the piece, or once for the car. */
export const EXTRA_KEYS = [
  'spot-work',
  'touch-up',
  'headlamps',
  'glass-polish',
  'wheels-off',
  'soft-top',
  'engine-bay',
  'interior',
] as const
export type ExtraKey = (typeof EXTRA_KEYS)[number]

export type ChosenExtra = { key: ExtraKey; count: number }

export type ExtraStage = 'wet' | 'before' | 'last'

type ExtraModel = {
  /** What one of it is. */
  unit: 'panel' | 'lamp' | 'pane' | 'car'
  /** Minutes for one, on a middle-sized car (mem). */
  minutesEach: number
  skill: Skill
  /**
   * Wet, in the wash bay before the wash, since its dirty water runs over everything; before the correction; or at the very end
   * when the paint has dried.
   */
  stage: ExtraStage
}

export const EXTRA: Record<ExtraKey, ExtraModel> = {
  'spot-work': {
    unit: 'panel',
    minutesEach: 45,
    skill: 'correct',
    stage: 'before',
  },
  'touch-up': {
    unit: 'panel',
    minutesEach: 30,
    skill: 'correct',
    stage: 'before',
  },
  headlamps: {
    unit: 'lamp',
    minutesEach: 40,
    skill: 'correct',
    stage: 'before',
  },
  'glass-polish': {
    unit: 'pane',
    minutesEach: 35,
    skill: 'correct',
    stage: 'before',
  },
  'wheels-off': {
    unit: 'car',
    minutesEach: 120,
    skill: 'prep',
    stage: 'before',
  },
  'soft-top': {
    unit: 'car',
    minutesEach: 90,
    skill: 'prep',
    stage: 'wet',
  },
  'engine-bay': {
    unit: 'car',
    minutesEach: 60,
    skill: 'prep',
    stage: 'wet',
  },
  interior: {
    unit: 'car',
    minutesEach: 150,
    skill: 'prep',
    stage: 'last',
  },
}

/** Whether there is anything on such a body to do it to: a soft top is not scrubbed on a van. */
export function extraApplies(key: ExtraKey, shape: Shape): boolean {
  return key !== 'soft-top' || placesOf(shape).some(({ surface }) => surface === 'fabric')
}

/** An extra this very car asks for, and the panels or places that do. */
export type ExtraProposal = ChosenExtra & { where: string[] }

type Seen = {
  judgement: Pick<VehicleJudgement, 'panels'>
  places: readonly { place: Place; defects: readonly PlaceDefect[] }[]
}

function panelsWhere({ judgement }: Seen, holds: (kind: string, catchesNail: boolean) => boolean): string[] {
  return judgement.panels
    .filter(({ condition }) => condition.costs.some(({ defect }) => holds(defect.kind, defect.catchesNail)))
    .map(({ panel }) => panel.id)
}

function placesWhere({ places }: Seen, kinds: readonly PlaceDefect['kind'][]): string[] {
  return places
    .filter(({ defects }) => defects.some(({ kind }) => kinds.includes(kind)))
    .map(({ place }) => place.id)
}

/** What was seen on the walk-round that a package does not mend but an extra does. */
export function proposeExtras(seen: Seen): ExtraProposal[] {
  const found: [ExtraKey, string[]][] = [
    ['spot-work', panelsWhere(seen, (kind, nail) => kind === 'scratches' && !nail)],
    ['touch-up', panelsWhere(seen, (kind, nail) => kind === 'chips' || nail)],
    ['headlamps', placesWhere(seen, ['cloudy'])],
    ['glass-polish', placesWhere(seen, ['glass-spots', 'glass-scratches'])],
    ['interior', placesWhere(seen, ['stained', 'odour'])],
  ]
  return found
    .filter(([, where]) => where.length > 0)
    .map(([key, where]) => ({ key, count: EXTRA[key].unit === 'car' ? 1 : where.length, where }))
}

/** How many of an extra a package that includes it means for this car; 0 where there is nothing to do. */
export function includedCount(key: ExtraKey, proposals: readonly ExtraProposal[]): number {
  const proposed = proposals.find((proposal) => proposal.key === key)?.count
  return EXTRA[key].unit === 'car' ? 1 : (proposed ?? 0)
}

/** Two lists as one: what is chosen by hand replaces what the package brings. */
export function mergeExtras(included: readonly ChosenExtra[], chosen: readonly ChosenExtra[]): ChosenExtra[] {
  return EXTRA_KEYS.flatMap((key) => {
    const of = chosen.find((extra) => extra.key === key) ?? included.find((extra) => extra.key === key)
    return of && of.count > 0 ? [{ key, count: of.count }] : []
  })
}
