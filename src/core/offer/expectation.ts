import { isCoating } from '../coating'
import type { CorrectionPlan, ForbidId, PanelChoice, SpotWork } from '../correction'
import { depthScaleUm, type Mends, type OnPanels } from '../survey'
import type { PaintSystem } from '../vehicle'
import { mendedBy } from './mends'
import type { Offer } from './offer'

/** Paint whose kind limits the result; clear over base needs no word. */
export const LIMITING_PAINTS = [
  'single-stage',
  'matte',
  'wrap',
  'gelcoat',
  'bare-metal',
] as const satisfies readonly PaintSystem[]
export type LimitingPaint = (typeof LIMITING_PAINTS)[number]

/** Why a panel that could be polished is not. Depths in µm, as fine as they are told, so that panels told alike share a line. */
export type WhyLeft =
  | { code: 'thin'; lowestUm: number }
  | { code: 'little-to-spare'; spareUm: number }
  | { code: 'nothing-to-spare' | 'slight' }
  | { code: 'rule'; rule: Exclude<ForbidId, 'over-budget'> }

/** The condition before the work; `inspected` where it rests on some of the panels only. */
export type Standing = { before: number; inspected?: InspectedShare }
/** How many of the panels of a car were inspected. */
export type InspectedShare = { panels: number; of: number }

/** What stays on panels in one way or another. */
export const REMAINING_CODES = [
  'improved-only',
  'softened-only',
  'filler',
  'edge-taped',
  'fresh-uncoated',
  'under-film',
  'film-comes-off',
  'prep-skipped',
  'spot-reduced',
  'spot-refused',
  'chips',
  'chips-touched-up',
  'nail',
  'nail-touched-up',
] as const
export type RemainingCode = (typeof REMAINING_CODES)[number]

/**
 * What the customer may expect, as facts that hold under a lamp: the result first, then what remains and why, then what limits and
 * what protects. Indices of condition 0–100, shares in whole percent.
 */
export type Expectation =
  /** Nobody has looked at the paint: nothing is said of how it will come out. */
  | { kind: 'result'; code: 'not-inspected' }
  | ({ kind: 'result'; code: 'flawless' | 'no-gain' } & Standing)
  | ({ kind: 'result'; code: 'slight'; clearedPercent: number } & Standing)
  | ({ kind: 'result'; code: 'improved'; after: number; clearedPercent: number } & Standing)
  | { kind: 'limit'; code: 'paint'; paint: LimitingPaint }
  | ({ kind: 'stays'; code: 'left'; why: WhyLeft } & OnPanels)
  | ({
      kind: 'stays'
      code: RemainingCode
    } & OnPanels)
  /** What the time quoted can reach: most of the marks go, or most of them stay. */
  | { kind: 'limit'; code: 'best-finish' | 'some-only' }
  /** Gloss at 60° that is worked to, GU. */
  | { kind: 'limit'; code: 'gloss'; targetGu: number }
  /** A coating lasts for years; what lasts a season is not called one. */
  | { kind: 'protection'; code: 'coating' | 'seasonal'; lifeMonths: number }

/** Below this gain in points of the condition index nobody sees a difference across the yard (mem). */
export const SEEN_POINTS = 1

/** The reason that keeps every abrasive process off a panel, of the mildest that could have helped. */
function whyLeft({ judged, forbidden }: PanelChoice): WhyLeft {
  const { finding, budget } = judged
  if (finding.kind === 'thin') return { code: 'thin', lowestUm: Math.round(finding.lowestSpotUm) }
  // What only waits for a spot and a word is told as that, and not as what forbids the methods beside it.
  const polish =
    forbidden.find(({ broken }) => broken.length > 0 && broken.every(({ level }) => level === 'consent')) ??
    forbidden.find(({ method }) => !method.leavesProtection)
  const rule = polish?.broken.find(({ id }) => id !== 'over-budget') ?? polish?.broken[0]
  if (!rule) return { code: 'slight' }
  if (rule.id !== 'over-budget') return { code: 'rule', rule: rule.id }
  const spareUm = Math.round(10 * budget.budgetUm) / 10
  return spareUm > 0 ? { code: 'little-to-spare', spareUm } : { code: 'nothing-to-spare' }
}

function resultOf({
  indexBefore,
  indexAfter,
  expectedClearing,
  flawless,
  inspected,
}: CorrectionPlan): Expectation {
  const standing: Standing = {
    before: indexBefore,
    ...(inspected.panels < inspected.of ? { inspected } : {}),
  }
  const clearedPercent = Math.round(100 * expectedClearing)
  if (flawless) return { kind: 'result', code: 'flawless', ...standing }
  if (clearedPercent === 0) return { kind: 'result', code: 'no-gain', ...standing }
  if (indexAfter - indexBefore < SEEN_POINTS)
    return { kind: 'result', code: 'slight', ...standing, clearedPercent }
  return { kind: 'result', code: 'improved', ...standing, after: indexAfter, clearedPercent }
}

/** Where a smaller share of what was recorded is expected to go, nobody may say that a few marks remain (mem). */
const FEW_STAY_FROM = 0.5
const leavesMost = ({ flawless, expectedClearing }: CorrectionPlan) =>
  !flawless && expectedClearing < FEW_STAY_FROM

const onPanels = (choices: readonly PanelChoice[], all: readonly PanelChoice[]): OnPanels => ({
  panels: choices.map(({ judged }) => judged.panel.id),
  everywhere: choices.length === all.length,
})

/** Something marks the panel that a pad could mend, if it were let. */
const couldBePolished = ({ judged }: PanelChoice) =>
  judged.condition.costs.some(({ defect }) => !defect.catchesNail && depthScaleUm(defect) !== undefined)

/** Panels left alone though there is something to polish, one line for each reason. */
function leftLines({ leftAsTheyAre, panels }: CorrectionPlan): Expectation[] {
  const byReason = new Map<string, { why: WhyLeft; choices: PanelChoice[] }>()
  for (const choice of leftAsTheyAre.filter(couldBePolished)) {
    const why = whyLeft(choice)
    const key = JSON.stringify(why)
    byReason.set(key, { why, choices: [...(byReason.get(key)?.choices ?? []), choice] })
  }
  return [...byReason.values()].map(({ why, choices }) => ({
    kind: 'stays',
    code: 'left',
    why,
    ...onPanels(choices, panels),
  }))
}

const worked = ({ option }: PanelChoice) => option.method.steps.length > 0

/** Two steps clear 80 to 95 % (common practice); a panel clearly below that is not called corrected. */
const CORRECTED_FROM = 0.75

/** Worked more mildly than it needs, because of what it can spare. */
const heldBack = (choice: PanelChoice) =>
  worked(choice) &&
  couldBePolished(choice) &&
  choice.option.cleared < CORRECTED_FROM &&
  (choice.option.held === 'paint' ||
    choice.forbidden.some(({ broken }) => broken.some(({ id }) => id === 'over-budget')))

/** A strong process that still leaves most behind has met something deep. */
const SOFTENED_BELOW = 0.6

const meetsDepth = (choice: PanelChoice) =>
  !heldBack(choice) && choice.option.method.steps.length > 1 && choice.option.cleared < SOFTENED_BELOW

const isMarked =
  (kind: 'chips' | 'nail') =>
  ({ judged }: PanelChoice) =>
    judged.condition.costs.some(({ defect }) =>
      kind === 'chips' ? defect.kind === 'chips' : defect.catchesNail && defect.kind !== 'chips',
    )

/** Not even the light polish that goes under a coating: its paint is too thin for that, and no rule of its material forbids it. */
const couldNotSpare = ({ option, forbidden }: PanelChoice) =>
  option.method.steps.length === 0 &&
  forbidden.some(({ broken }) => broken.length > 0 && broken.every(({ id }) => id === 'over-budget'))

/** Panels that stay as they are in one way or another; only what is there is named. */
function remaining(
  panels: readonly PanelChoice[],
  mends: Mends,
  { layers, freshPanels, spots, extras }: Pick<Offer, 'layers' | 'freshPanels' | 'spots' | 'extras'>,
): Expectation[] {
  // Where touch-up names its panels, only those are touched up.
  const bared = extras.find(({ key }) => key === 'film-off')?.pieces
  const touched = extras.find(({ key }) => key === 'touch-up')?.pieces
  const isTouched = ({ judged }: PanelChoice) =>
    mends('chips') && (touched === undefined || touched.includes(judged.panel.id))
  const protects = layers.length > 0 || panels.some(({ option }) => option.method.leavesProtection)
  const spotIs = (verdict: SpotWork['verdict']) => (choice: PanelChoice) =>
    spots.some((spot) => spot.panel === choice.judged.panel.id && spot.verdict === verdict)
  const kinds = [
    ['improved-only', heldBack],
    ['softened-only', meetsDepth],
    ['filler', (choice: PanelChoice) => worked(choice) && choice.judged.finding.kind === 'filler-likely'],
    ['edge-taped', ({ option }: PanelChoice) => option.tapeEdge && option.method.steps.length > 0],
    ['fresh-uncoated', ({ judged }: PanelChoice) => protects && freshPanels.includes(judged.panel.id)],
    [
      'under-film',
      (choice: PanelChoice) => choice.judged.finding.kind === 'film' && !couldBePolished(choice),
    ],
    ['film-comes-off', ({ judged }: PanelChoice) => bared?.includes(judged.panel.id) === true],
    ['prep-skipped', (choice: PanelChoice) => layers.length > 0 && couldNotSpare(choice)],
    ['spot-reduced', spotIs('reduced')],
    ['spot-refused', spotIs('refused')],
    ['chips-touched-up', (choice: PanelChoice) => isMarked('chips')(choice) && isTouched(choice)],
    ['chips', (choice: PanelChoice) => isMarked('chips')(choice) && !isTouched(choice)],
    ['nail-touched-up', (choice: PanelChoice) => isMarked('nail')(choice) && isTouched(choice)],
    ['nail', (choice: PanelChoice) => isMarked('nail')(choice) && !isTouched(choice)],
  ] as const
  return kinds.flatMap(([code, holds]): Expectation[] => {
    const found = panels.filter(holds)
    return found.length > 0 ? [{ kind: 'stays', code, ...onPanels(found, panels) }] : []
  })
}

const isLimiting = (paint: PaintSystem): paint is LimitingPaint =>
  (LIMITING_PAINTS as readonly PaintSystem[]).includes(paint)

/** What may honestly be said of an offer. */
export function expectationOf({
  correction,
  layers,
  paintSystem,
  extras,
  vendors,
  inspected,
  freshPanels,
  spots,
  gloss,
}: Pick<
  Offer,
  | 'correction'
  | 'layers'
  | 'paintSystem'
  | 'extras'
  | 'vendors'
  | 'inspected'
  | 'freshPanels'
  | 'spots'
  | 'gloss'
  | 'gloss'
>): Expectation[] {
  const mends = mendedBy({
    extras: extras.map(({ key }) => key),
    trades: vendors.map(({ trade }) => trade),
  })
  const lifeMonths = Math.max(0, ...layers.map((layer) => layer.lifeMonths))
  const code = layers.some(isCoating) ? 'coating' : 'seasonal'
  return [
    inspected ? resultOf(correction) : { kind: 'result', code: 'not-inspected' },
    ...(isLimiting(paintSystem) ? [{ kind: 'limit', code: 'paint', paint: paintSystem } as const] : []),
    ...leftLines(correction),
    ...remaining(correction.panels, mends, { layers, freshPanels, spots, extras }),
    ...(correction.panels.some(worked)
      ? [{ kind: 'limit', code: leavesMost(correction) ? 'some-only' : 'best-finish' } as const]
      : []),
    ...(gloss ? [{ kind: 'limit', code: 'gloss', targetGu: gloss.targetGu } as const] : []),
    ...(layers.length > 0 ? [{ kind: 'protection', code, lifeMonths } as const] : []),
  ]
}
