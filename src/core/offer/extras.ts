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

type ExtraModel = {
  name: string
  means: string
  /** What one of it is. */
  unit: 'panel' | 'lamp' | 'pane' | 'car'
  /** Minutes for one, on a middle-sized car (mem). */
  minutesEach: number
  skill: Skill
  /** Before the correction, or at the very end when the paint has dried. */
  stage: 'before' | 'last'
  /** What can hurt someone, and what to defer to. */
  caution?: string
}

export const EXTRA: Record<ExtraKey, ExtraModel> = {
  'spot-work': {
    name: 'Spot work',
    means: 'One deep scratch or mark brought down as far as the panel can spare, then blended in.',
    unit: 'panel',
    minutesEach: 45,
    skill: 'correct',
    stage: 'before',
    caution: 'Sanding dust: mask. Tie back cords and sleeves at the machine.',
  },
  'touch-up': {
    name: 'Touch-up of chips',
    means: 'Chips filled by brush and left to dry before anything is coated. They are sealed, not gone.',
    unit: 'panel',
    minutesEach: 30,
    skill: 'correct',
    stage: 'before',
    caution: 'Solvent vapour: ventilate, no flame. Two-component paint is for a licensed refinisher only.',
  },
  headlamps: {
    name: 'Headlamp restoration',
    means: 'Cloudy lenses cut clear and sealed.',
    unit: 'lamp',
    minutesEach: 40,
    skill: 'correct',
    stage: 'before',
    caution: 'Sanding dust: mask. A lens that stays cloudy from within needs a new lamp.',
  },
  'glass-polish': {
    name: 'Glass polish',
    means: 'Mineral spots and light wiper marks polished from a pane.',
    unit: 'pane',
    minutesEach: 35,
    skill: 'correct',
    stage: 'before',
    caution: 'Keep the glass cool and moving: a hot spot cracks it. Never over a chip or a crack.',
  },
  'wheels-off': {
    name: 'Wheels off',
    means: 'All four off, cleaned behind and inside; the car stays on stands meanwhile.',
    unit: 'car',
    minutesEach: 120,
    skill: 'prep',
    stage: 'before',
    caution:
      'Rated lift and stands on the jacking points, never a jack alone. Refit to the maker’s torque with a calibrated wrench, and re-check after the first drive.',
  },
  'soft-top': {
    name: 'Soft top',
    means: 'Scrubbed until the foam stays white, dried and proofed.',
    unit: 'car',
    minutesEach: 90,
    skill: 'prep',
    stage: 'before',
    caution: 'No jet at close range into the weave. Proofing vapour: ventilate, gloves.',
  },
  'engine-bay': {
    name: 'Engine bay',
    means: 'Covered where it must stay dry, cleaned by brush and wiped; no jet.',
    unit: 'car',
    minutesEach: 60,
    skill: 'prep',
    stage: 'before',
    caution:
      'Engine cold, 12 V off. Orange cables are high voltage: leave them alone and follow the maker’s instructions.',
  },
  interior: {
    name: 'Interior',
    means: 'Vacuumed, wiped, stains treated as far as they go.',
    unit: 'car',
    minutesEach: 150,
    skill: 'prep',
    stage: 'last',
    caution: 'Ask about allergies before strong cleaners; keep fluids away from airbags and switches.',
  },
}

/** Whether there is anything on such a body to do it to: a soft top is not scrubbed on a van. */
export function extraApplies(key: ExtraKey, shape: Shape): boolean {
  return key !== 'soft-top' || placesOf(shape).some(({ surface }) => surface === 'fabric')
}

/** An extra this very car asks for, and what that rests on. */
export type ExtraProposal = ChosenExtra & { why: string }

type Seen = {
  judgement: Pick<VehicleJudgement, 'panels'>
  places: readonly { place: Place; defects: readonly PlaceDefect[] }[]
}

const listed = (names: readonly string[]) => names.join(', ').toLowerCase()

function panelsWhere({ judgement }: Seen, holds: (kind: string, catchesNail: boolean) => boolean): string[] {
  return judgement.panels
    .filter(({ condition }) => condition.costs.some(({ defect }) => holds(defect.kind, defect.catchesNail)))
    .map(({ panel }) => panel.name)
}

function placesWhere({ places }: Seen, kinds: readonly PlaceDefect['kind'][]): string[] {
  return places
    .filter(({ defects }) => defects.some(({ kind }) => kinds.includes(kind)))
    .map(({ place }) => place.name)
}

/** What was seen on the walk-round that a package does not mend but an extra does. */
export function proposeExtras(seen: Seen): ExtraProposal[] {
  const found: [ExtraKey, string[], (where: string) => string][] = [
    [
      'spot-work',
      panelsWhere(seen, (kind, nail) => kind === 'scratches' && !nail),
      (where) => `Deep scratches: ${where}`,
    ],
    [
      'touch-up',
      panelsWhere(seen, (kind, nail) => kind === 'chips' || nail),
      (where) => `Down to the ground: ${where}`,
    ],
    ['headlamps', placesWhere(seen, ['cloudy']), (where) => `Cloudy: ${where}`],
    [
      'glass-polish',
      placesWhere(seen, ['glass-spots', 'glass-scratches']),
      (where) => `Marked glass: ${where}`,
    ],
    ['interior', placesWhere(seen, ['stained', 'odour']), (where) => `Noted: ${where}`],
  ]
  return found
    .filter(([, where]) => where.length > 0)
    .map(([key, where, why]) => ({
      key,
      count: EXTRA[key].unit === 'car' ? 1 : where.length,
      why: why(listed(where)),
    }))
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
