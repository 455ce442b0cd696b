import { CARE, type CorrectionPlan, type PanelChoice, type PanelOption } from '../correction'
import { depthScaleUm, letterOf } from '../survey'
import type { PaintSystem } from '../vehicle'
import type { Offer } from './offer'

/** What the customer may expect, in words that hold under a lamp. The first line is the result; then what stays, and why. */
export type Expectation = { kind: 'result' | 'stays' | 'limit' | 'protection'; text: string }

/** Below this gain in points of the condition index nobody sees a difference across the yard (mem). */
const SEEN_POINTS = 1

const list = (names: readonly string[]) => {
  const said = names.map((name) => `the ${name.toLowerCase()}`)
  return said.length < 2 ? said.join('') : `${said.slice(0, -1).join(', ')} and ${said.at(-1)}`
}
const sentence = (text: string) => text[0]!.toUpperCase() + text.slice(1)
const names = (choices: readonly PanelChoice[]) => choices.map(({ judged }) => judged.panel.name)

const spare = (um: number) => (um < 0.05 ? 'no paint to spare' : `only ${um.toFixed(1)} µm of paint to spare`)

/** The reason that keeps every abrasive process off a panel, of the mildest that could have helped. */
function whyLeft({ judged, forbidden }: PanelChoice): string {
  const { finding, budget } = judged
  if (finding.kind === 'thin')
    return `the paint is thin there, ${finding.lowestSpotUm.toFixed(0)} µm at its lowest, with ${spare(budget.budgetUm)}`
  const polish = forbidden.find(({ process }) => !process.leavesProtection)
  const rule = polish?.broken.find(({ id }) => id !== 'over-budget') ?? polish?.broken[0]
  if (!rule) return 'what marks it is too slight to spend paint on'
  return rule.id === 'over-budget'
    ? `there is ${spare(budget.budgetUm)}`
    : rule.reason[0]!.toLowerCase() + rule.reason.slice(1).replace(/\.$/, '')
}

function resultOf({ indexBefore, indexAfter, expectedClearing, flawless }: CorrectionPlan): Expectation {
  const stands = `The car stands at ${letterOf(indexBefore)}, ${indexBefore.toFixed(0)} of 100.`
  if (flawless)
    return { kind: 'result', text: `${stands} No defects are written down: it is protected, not corrected.` }
  const share = Math.round(100 * expectedClearing)
  if (share === 0)
    return { kind: 'result', text: `${stands} Polishing would not change that; it is cleaned and protected.` }
  if (indexAfter - indexBefore < SEEN_POINTS)
    return { kind: 'result', text: `${stands} What marks it is slight; about ${share} % of it goes.` }
  return {
    kind: 'result',
    text: `${stands} Afterwards we expect ${letterOf(indexAfter)}, ${indexAfter.toFixed(0)}: about ${share} % of the defects go.`,
  }
}

/** Something marks the panel that a pad could mend, if it were let. */
const couldBePolished = ({ judged }: PanelChoice) =>
  judged.condition.costs.some(({ defect }) => !defect.catchesNail && depthScaleUm(defect) !== undefined)

/** Panels left alone though there is something to polish, one line for each reason. */
function leftLines(left: readonly PanelChoice[]): Expectation[] {
  const byReason = new Map<string, PanelChoice[]>()
  for (const choice of left.filter(couldBePolished)) {
    const why = whyLeft(choice)
    byReason.set(why, [...(byReason.get(why) ?? []), choice])
  }
  return [...byReason].map(([why, choices]) => ({
    kind: 'stays',
    text: `${sentence(list(names(choices)))} ${choices.length > 1 ? 'are' : 'is'} left as ${choices.length > 1 ? 'they are' : 'it is'}: ${why}.`,
  }))
}

const worked = ({ option }: PanelChoice) => option.process.steps.length > 0

/** Two steps clear 80 to 95 % (common practice); a panel clearly below that is not called corrected. */
const CORRECTED_FROM = 0.75

/** Worked more mildly than it needs, because of what it can spare. */
const heldBack = (choice: PanelChoice) =>
  worked(choice) &&
  choice.option.cleared < CORRECTED_FROM &&
  choice.forbidden.some(({ broken }) => broken.some(({ id }) => id === 'over-budget'))

function improvedOnly(panels: readonly PanelChoice[]): Expectation[] {
  const held = panels.filter(heldBack)
  return held.length === 0
    ? []
    : [
        {
          kind: 'stays',
          text: `${sentence(list(names(held)))} ${held.length > 1 ? 'are' : 'is'} improved, not corrected: more would cost paint ${held.length > 1 ? 'they need' : 'it needs'}.`,
        },
      ]
}

/** A strong process that still leaves most behind has met something deep. */
const SOFTENED_BELOW = 0.6

function softenedOnly(panels: readonly PanelChoice[]): Expectation[] {
  const deep = panels.filter(
    (choice) =>
      !heldBack(choice) && choice.option.process.steps.length > 1 && choice.option.cleared < SOFTENED_BELOW,
  )
  return deep.length === 0
    ? []
    : [
        {
          kind: 'stays',
          text: `What marks ${list(names(deep))} lies deeper than is safe to cut: it is softened, not removed.`,
        },
      ]
}

function nailCatchers(panels: readonly PanelChoice[]): Expectation[] {
  const marked = panels.filter(({ judged }) =>
    judged.condition.costs.some(({ defect }) => defect.catchesNail || defect.kind === 'chips'),
  )
  return marked.length === 0
    ? []
    : [
        {
          kind: 'stays',
          text: `Chips and scratches that catch a nail on ${list(names(marked))} stay, and can stand out more once the paint round them is clear.`,
        },
      ]
}

/** What a kind of paint means for the result; clear over base needs no word. */
const PAINT_LIMIT: Partial<Record<PaintSystem, string>> = {
  'single-stage':
    'This is single-stage paint: its colour comes off on the pad and there is no clear to spend. No wool, no rotary, no strong solvent; and each correction is one fewer for the years to come.',
  matte: 'Matte paint is never polished: what marks it stays, and it is cleaned and protected only.',
  wrap: 'The car is wrapped: it is cleaned and protected, and the paint beneath cannot be judged.',
  gelcoat: 'Gelcoat cannot be measured: the mildest method that works is used, and some marks stay.',
  'bare-metal': 'Bare metal has no paint to polish; it is cleaned and protected.',
}

function paintLimit(paintSystem: PaintSystem): Expectation[] {
  const text = PAINT_LIMIT[paintSystem]
  return text ? [{ kind: 'limit', text }] : []
}

/** The honest words of an offer. */
export function expectationOf(
  offer: Pick<Offer, 'correction' | 'layers' | 'template' | 'paintSystem'>,
): Expectation[] {
  const { correction, layers, template, paintSystem } = offer
  const lines = [
    resultOf(correction),
    ...paintLimit(paintSystem),
    ...leftLines(correction.leftAsTheyAre),
    ...improvedOnly(correction.panels),
    ...softenedOnly(correction.panels),
    ...nailCatchers(correction.panels),
  ]
  const touched = correction.panels.some(worked)
  return [
    ...lines,
    ...(touched
      ? [
          {
            kind: 'limit' as const,
            text: `${CARE[template.care].name}: as good as this paint safely gets for these hours, never perfect. Under a lamp single marks are still found.`,
          },
        ]
      : []),
    ...(layers.length > 0
      ? [
          {
            kind: 'protection' as const,
            text: `A coating makes washing easier and keeps the gloss longer, about ${Math.round(Math.max(...layers.map(({ lifeMonths }) => lifeMonths)))} months with good care, less outdoors or in brush washes. It does not stop chips or scratches.`,
          },
        ]
      : []),
  ]
}

/** Why a panel gets this process and not the next stronger one. */
export function whyThis(option: PanelOption, all: readonly PanelOption[]): string {
  const at = all.findIndex(({ process }) => process.key === option.process.key)
  const next = all
    .slice(at + 1)
    .find(({ process }) => !process.leavesProtection || option.process.leavesProtection)
  if (!next) return 'There is nothing stronger.'
  const name = next.process.name
  const [rule] = next.broken
  if (rule?.id === 'over-budget')
    return `${name} would take ${next.removalUm.toFixed(1)} µm, more than this panel can spare.`
  if (rule) return `Not ${name.toLowerCase()}: ${rule.reason[0]!.toLowerCase()}${rule.reason.slice(1)}`
  const points = next.indexAfter - option.indexAfter
  const cost = `${(next.removalUm - option.removalUm).toFixed(1)} µm and ${Math.round(next.minutes - option.minutes)} min more`
  return points < SEEN_POINTS
    ? `${name} would cost ${cost} for a difference nobody sees (${points.toFixed(1)} points).`
    : `${name} would win ${points.toFixed(1)} points here for ${cost}; within these hours other panels need them more.`
}
