import type { PanelId, Place } from '../vehicle'
import type { DefectKind } from './defects'
import type { PanelJudgement } from './judge'
import type { PlaceDefect } from './place-defects'
import type { Prospect } from './prospect'

/**
 * What must be said before the work begins: most disappointment starts where it was not. Each line has where it holds and what
 * it rests on, so that what is read out says nothing a lamp could contradict.
 */

const PANEL_RULES = [
  'nail-catchers-stay',
  'chips-stay',
  'chips-touched-up',
  'dents-stay',
  'failing-clear-stays',
  'thin-panel-left',
  'stays-for-thin-paint',
  'too-deep-to-remove',
  'earlier-correction',
  'repainted',
  'filler',
  'unread',
  'under-film',
  'not-inspected',
] as const
type PanelRule = (typeof PANEL_RULES)[number]
export const SIGN_OFF_RULES = [...PANEL_RULES, 'softened-only', 'beside-the-paint'] as const
export type SignOffRule = (typeof SIGN_OFF_RULES)[number]

/** Panels a line holds for, in the order of the walk round the car. */
export type OnPanels = { panels: readonly PanelId[]; everywhere: boolean }

export type SignOffFact =
  | { [Rule in PanelRule]: { rule: Rule } & OnPanels }[PanelRule]
  | ({ rule: 'softened-only'; kinds: readonly DefectKind[] } & OnPanels)
  | { rule: 'beside-the-paint'; place: string; defect: PlaceDefect; included: boolean }

/** A line as it was told: text of its day, in the customer’s language. */
export type SignOffLine = { rule: SignOffRule; text: string }

/** Whether what was bought puts a thing right: an extra, or somebody called in. */
export type Mends = (kind: DefectKind | PlaceDefect['kind']) => boolean

type Found = {
  panels: readonly PanelJudgement[]
  places: readonly { place: Place; defects: readonly PlaceDefect[] }[]
}

type Holds = (judged: PanelJudgement, mends: Mends) => boolean

const some =
  (holds: (prospect: Prospect) => boolean): Holds =>
  ({ prospects }) =>
    prospects.some(holds)

const stays = (why: string, kinds?: readonly DefectKind[]) => (prospect: Prospect) =>
  prospect.verdict === 'stays' && prospect.why === why && (!kinds || kinds.includes(prospect.defect.kind))

const chipped = some(({ defect }) => defect.kind === 'chips')
const found =
  (kind: PanelJudgement['finding']['kind']): Holds =>
  ({ finding }) =>
    finding.kind === kind

/** The hardest to hear first. */
const HOLDS: Record<PanelRule, Holds> = {
  'nail-catchers-stay': some((prospect) => stays('nail')(prospect) && prospect.defect.kind !== 'chips'),
  'chips-stay': (judged, mends) => !mends('chips') && chipped(judged, mends),
  'chips-touched-up': (judged, mends) => mends('chips') && chipped(judged, mends),
  'dents-stay': (judged, mends) => !mends('dents') && some(stays('repair', ['dents']))(judged, mends),
  'failing-clear-stays': (judged, mends) =>
    !mends('clear-failure') && some(stays('repair', ['clear-failure']))(judged, mends),
  'thin-panel-left': found('thin'),
  'stays-for-thin-paint': (judged, mends) =>
    judged.finding.kind !== 'thin' && some(stays('too-little-paint'))(judged, mends),
  'too-deep-to-remove': some(stays('too-deep')),
  'earlier-correction': ({ budget }) =>
    budget.limits.some((limit) => limit.rule === 'lifetime' && limit.alreadyTakenUm > 0),
  repainted: found('repainted'),
  filler: found('filler-likely'),
  unread: ({ finding, condition }) => finding.kind === 'unreadable' && condition.costs.length > 0,
  'under-film': found('film'),
  'not-inspected': ({ inspected }) => !inspected,
}

const onPanels = (judged: readonly PanelJudgement[], all: readonly PanelJudgement[]): OnPanels => ({
  panels: judged.map(({ panel }) => panel.id),
  everywhere: judged.length === all.length,
})

const softenedKinds = ({ prospects }: PanelJudgement): DefectKind[] => [
  ...new Set(prospects.flatMap(({ verdict, defect }) => (verdict === 'softens' ? [defect.kind] : []))),
]

/** Panels with the same kinds to be softened stand in one line: each kind is claimed only where it was seen. */
function softened(panels: readonly PanelJudgement[]): SignOffFact[] {
  const groups = new Map<string, PanelJudgement[]>()
  for (const judged of panels) {
    const kinds = softenedKinds(judged).sort().join()
    if (kinds) groups.set(kinds, [...(groups.get(kinds) ?? []), judged])
  }
  return [...groups.values()].map((group) => ({
    rule: 'softened-only',
    kinds: softenedKinds(group[0]!),
    ...onPanels(group, panels),
  }))
}

/** The lines for one vehicle, the hardest to hear first. Places beside the paint each get a line of their own. */
export function signOffFor({ panels, places }: Found, mends: Mends = () => false): SignOffFact[] {
  return [
    ...PANEL_RULES.flatMap((rule): SignOffFact[] => {
      const where = panels.filter((judged) => HOLDS[rule](judged, mends))
      return where.length > 0 ? [{ rule, ...onPanels(where, panels) }] : []
    }),
    ...softened(panels),
    ...places.flatMap(({ place, defects }) =>
      defects.map(
        (defect): SignOffFact => ({
          rule: 'beside-the-paint',
          place: place.id,
          defect,
          included: mends(defect.kind),
        }),
      ),
    ),
  ]
}
