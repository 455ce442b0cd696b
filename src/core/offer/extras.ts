import type { Defect, PlaceDefect, VehicleJudgement } from '../survey'
import { type EarlierTreatment, type Place, placesOf, type Shape } from '../vehicle'
import type { Skill } from './skill'
import type { Trade } from './vendor'

/** What is sold beside a package: by the panel, by the piece, or once for the car. */
export const EXTRA_KEYS = [
  'spot-work',
  'touch-up',
  'headlamps',
  'glass-polish',
  'trim',
  'chrome',
  'film-off',
  'strip-coating',
  'wheels-off',
  'soft-top',
  'engine-bay',
  'interior',
] as const
export type ExtraKey = (typeof EXTRA_KEYS)[number]

/** How many of an extra, and on which panels or places where that is known. */
export type ChosenExtra = { key: ExtraKey; count: number; pieces?: readonly string[] }

export type ExtraStage = 'wet' | 'before' | 'last'

type ExtraModel = {
  /** What one of it is. */
  unit: 'panel' | 'lamp' | 'pane' | 'piece' | 'car'
  /** Minutes for one, on a middle-sized car (mem). */
  minutesEach: number
  skill: Skill
  /**
   * Wet, in the wash bay before the wash, since its dirty water runs over everything; before the correction; or at the very end
   * when the paint has dried.
   */
  stage: ExtraStage
  /** Minutes of those that put back what came off, at the end of the job: a step of its own. */
  backMinutes?: number
  /** It must have dried so long before anything is polished over it, minutes. */
  dryMinutes?: number
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
    // Touch-up paint that is polished too soon comes out again (mem).
    dryMinutes: 180,
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
  trim: {
    unit: 'piece',
    minutesEach: 25,
    skill: 'prep',
    stage: 'before',
  },
  chrome: {
    unit: 'piece',
    minutesEach: 30,
    skill: 'prep',
    stage: 'before',
  },
  // Warmed, drawn off and its adhesive washed away.
  'film-off': {
    unit: 'panel',
    minutesEach: 60,
    skill: 'prep',
    stage: 'wet',
  },
  'strip-coating': {
    unit: 'car',
    minutesEach: 150,
    skill: 'correct',
    stage: 'before',
  },
  'wheels-off': {
    unit: 'car',
    minutesEach: 120,
    backMinutes: 60,
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
  /** What was done to the paint before, as told. */
  treatments?: readonly EarlierTreatment[]
  places: readonly { place: Place; defects: readonly PlaceDefect[] }[]
}

function panelsWhere({ judgement }: Seen, holds: (defect: Defect) => boolean): string[] {
  return judgement.panels
    .filter(({ condition }) => condition.costs.some(({ defect }) => holds(defect)))
    .map(({ panel }) => panel.id)
}

function placesWhere(
  { places }: Seen,
  kinds: readonly PlaceDefect['kind'][],
  on?: Place['surface'],
): string[] {
  return places
    .filter(({ place }) => on === undefined || place.surface === on)
    .filter(({ defects }) => defects.some(({ kind }) => kinds.includes(kind)))
    .map(({ place }) => place.id)
}

/** What was seen on the walk-round that a package does not mend but an extra does. */
export function proposeExtras(seen: Seen): ExtraProposal[] {
  const told = (kind: EarlierTreatment['kind']) =>
    seen.treatments?.some((treatment) => treatment.kind === kind)
  const filmed = seen.judgement.panels.filter(({ finding }) => finding.kind === 'film')
  const found: [ExtraKey, string[]][] = [
    ['spot-work', panelsWhere(seen, ({ kind, catchesNail }) => kind === 'scratches' && !catchesNail)],
    ['touch-up', panelsWhere(seen, ({ kind, catchesNail }) => kind === 'chips' || catchesNail)],
    ['headlamps', placesWhere(seen, ['cloudy'])],
    ['glass-polish', placesWhere(seen, ['glass-spots', 'glass-scratches'])],
    ['trim', placesWhere(seen, ['faded', 'worn'], 'trim')],
    ['chrome', placesWhere(seen, ['tarnished', 'pitted'])],
    ['film-off', filmed.map(({ panel }) => panel.id)],
    ['interior', placesWhere(seen, ['stained', 'odour'])],
  ]
  return [
    ...found
      .filter(([, where]) => where.length > 0)
      .map(([key, where]) => ({ key, count: EXTRA[key].unit === 'car' ? 1 : where.length, where })),
    ...(told('coating') ? [{ key: 'strip-coating' as const, count: 1, where: [] }] : []),
    // Nobody has measured it under its film: the owner says where it is.
    ...(told('film') && filmed.length === 0 ? [{ key: 'film-off' as const, count: 1, where: [] }] : []),
  ]
}

/** Somebody from outside whom this very car asks for, and the panels or places that do; none where it is the customer’s wish. */
export type TradeProposal = { trade: Trade; where: string[] }

const WISHES_FILM = /\b(film|folie)\b/i

/** What was seen or wished that this shop does not do itself. */
export function proposeTrades(seen: Seen, wishes: string): TradeProposal[] {
  const found: [Trade, string[]][] = [
    ['dents', panelsWhere(seen, ({ kind }) => kind === 'dents')],
    ['paint', panelsWhere(seen, ({ kind }) => kind === 'clear-failure')],
    ['wheels', placesWhere(seen, ['kerbed', 'corroded'])],
    ['glass', placesWhere(seen, ['glass-chip', 'glass-crack'])],
    ['upholstery', placesWhere(seen, ['torn'])],
  ]
  return [
    ...found.filter(([, where]) => where.length > 0).map(([trade, where]) => ({ trade, where })),
    ...(WISHES_FILM.test(wishes) ? [{ trade: 'film' as const, where: [] }] : []),
  ]
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
    return of && of.count > 0 ? [of] : []
  })
}

/** On which panels or places: as chosen, else where it was seen, as far as the count goes. */
export function piecesOf({ key, count, pieces }: ChosenExtra, proposals: readonly ExtraProposal[]): string[] {
  if (EXTRA[key].unit === 'car') return []
  return (pieces ?? proposals.find((proposal) => proposal.key === key)?.where ?? []).slice(0, count)
}
