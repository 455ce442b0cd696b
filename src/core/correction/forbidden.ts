import type { LocalDay } from '../time'
import { daysBetween } from '../time'
import type { PanelPaint } from '../vehicle'
import { isMetal, type Panel } from '../vehicle'
import type { GroupKnowledge } from './group'
import type { Material } from './material'
import { type Method, strengthOf } from './method'

/** What the rules look at before a method is allowed on a panel. */
export type MethodContext = {
  panel: Panel
  paint: PanelPaint
  /** What the pad meets; absent where there is nothing to polish. */
  material?: Material
  /** The day it is worked. */
  today?: LocalDay
  /** The customer has agreed to what is only done by consent. */
  consented: boolean
  budgetUm: number
  removalUm: number
  /** A wrap or film covers this panel. */
  underFilm: boolean
  /** A coating goes over the result. */
  underCoating: boolean
  /** Body filler is likely under the paint: how much paint lies over it no gauge tells. */
  overFiller: boolean
  /** There is something on the panel that lies deep: heavy marks, scratches, etching, sanding marks. */
  deeplyMarked: boolean
  /** All that a pad takes off lies shallow: light swirls, haze, a dull top. */
  lightlyMarked: boolean
  /** What test spots have shown of its group. */
  known: Pick<GroupKnowledge, 'settled' | 'tooMuch' | 'good'>
}

export const FORBID_IDS = [
  'never-polish-matte',
  'never-cut-film',
  'no-paint-on-bare-metal',
  'not-for-this-material',
  'no-wool-on-metallic-single-stage',
  'wool-with-care',
  'nothing-coarse-on-plastic',
  'gloss-plastic-by-consent',
  'fresh-paint',
  'fresh-paint-gently',
  'fresh-paint-unsealed',
  'no-wool-over-filler',
  'gently-over-filler',
  'no-wool-on-light-marks',
  'disc-only-for-deep-marks',
  'milder-was-enough',
  'too-much-at-test-spot',
  'no-all-in-one-under-coating',
  'over-budget',
] as const
export type ForbidId = (typeof FORBID_IDS)[number]

/** Forbidden; forbidden unless a test spot was good and the customer agrees; allowed, with care. */
export const FORBID_LEVELS = ['stop', 'consent', 'caution'] as const
export type ForbidLevel = (typeof FORBID_LEVELS)[number]

export type ForbidRule = {
  id: ForbidId
  level: ForbidLevel
  breaks: (method: Method, context: MethodContext) => boolean
}

/** A body shop’s paint gives off solvent for about a month and is soft as long (common practice). */
export const FRESH_DAYS = 30

const abrasive = ({ steps }: Method) => steps.length > 0
const COARSE = ['wool', 'microfibre', 'disc-3000']
const wool = ({ steps }: Method) => steps.some(({ machine, pad }) => machine === 'rotary' || pad === 'wool')
const coarse = (method: Method) => wool(method) || method.steps.some(({ pad }) => COARSE.includes(pad))
const disc = ({ steps }: Method) => steps.some(({ pad }) => pad === 'disc-3000')
const isFresh = ({ paint: { sprayedOn }, today }: MethodContext) =>
  sprayedOn !== undefined && today !== undefined && daysBetween(sprayedOn, today) < FRESH_DAYS
/** What only takes the dust off: one step at most, with no pad and no liquid that cuts. */
const gentle = (method: Method) =>
  method.steps.length <= 1 &&
  !coarse(method) &&
  method.steps.every(({ pad, liquid }) => pad !== 'foam-cut' && liquid !== 'heavy-compound')

/** Why a method may not be used on a panel, or only so (common practice). Every rule is looked at, not only the first. */
export const FORBID_RULES: readonly ForbidRule[] = [
  {
    id: 'never-polish-matte',
    level: 'stop',
    breaks: (method, { paint: { system } }) => system === 'matte' && abrasive(method),
  },
  {
    id: 'never-cut-film',
    level: 'stop',
    breaks: (method, { underFilm, paint: { system } }) =>
      (underFilm || system === 'wrap') && abrasive(method),
  },
  {
    id: 'no-paint-on-bare-metal',
    level: 'stop',
    breaks: (method, { paint: { system } }) => system === 'bare-metal' && abrasive(method),
  },
  {
    id: 'not-for-this-material',
    level: 'stop',
    breaks: (method, { material }) =>
      material !== undefined && abrasive(method) && !method.fit.includes(material),
  },
  {
    id: 'no-wool-on-metallic-single-stage',
    level: 'stop',
    breaks: (method, { material }) => material === 'single-metallic' && wool(method),
  },
  {
    id: 'wool-with-care',
    level: 'caution',
    breaks: (method, { material }) => material === 'single-solid' && wool(method),
  },
  {
    id: 'nothing-coarse-on-plastic',
    level: 'stop',
    breaks: (method, { panel, material }) =>
      material !== 'gelcoat' && (!isMetal(panel.substrate) || material === 'gloss-plastic') && coarse(method),
  },
  {
    id: 'gloss-plastic-by-consent',
    level: 'consent',
    breaks: (method, { material, consented, known }) =>
      material === 'gloss-plastic' && abrasive(method) && !(consented && known.good.includes(method.key)),
  },
  {
    id: 'fresh-paint',
    level: 'stop',
    breaks: (method, context) => isFresh(context) && !gentle(method),
  },
  {
    id: 'fresh-paint-gently',
    level: 'caution',
    breaks: (method, context) => isFresh(context) && abrasive(method) && gentle(method),
  },
  {
    id: 'fresh-paint-unsealed',
    level: 'stop',
    breaks: (method, context) => isFresh(context) && method.leavesProtection,
  },
  {
    // Heat lets an old repair sink and show (common practice).
    id: 'no-wool-over-filler',
    level: 'stop',
    breaks: (method, { overFiller }) => overFiller && wool(method),
  },
  {
    id: 'gently-over-filler',
    level: 'caution',
    breaks: (method, { overFiller }) => overFiller && abrasive(method) && !wool(method),
  },
  {
    // The least aggressive that works (common practice): where a spot has shown that nothing milder does, wool is open again.
    id: 'no-wool-on-light-marks',
    level: 'stop',
    breaks: (method, { material, lightlyMarked, known: { good } }) =>
      material === 'clear' && wool(method) && lightlyMarked && !good.includes(method.key),
  },
  {
    id: 'disc-only-for-deep-marks',
    level: 'stop',
    breaks: (method, { deeplyMarked }) => !deeplyMarked && disc(method),
  },
  {
    id: 'milder-was-enough',
    level: 'stop',
    breaks: (method, { known: { settled } }) =>
      settled !== undefined && method.key !== settled.key && strengthOf(method) > settled.strength,
  },
  {
    id: 'too-much-at-test-spot',
    level: 'stop',
    breaks: (method, { known: { tooMuch } }) =>
      abrasive(method) &&
      tooMuch.some(({ key, strength }) => method.key === key || strengthOf(method) >= strength),
  },
  {
    id: 'no-all-in-one-under-coating',
    level: 'stop',
    breaks: (method, { underCoating }) => underCoating && method.leavesProtection,
  },
  {
    id: 'over-budget',
    level: 'stop',
    breaks: (_, { budgetUm, removalUm }) => removalUm > budgetUm,
  },
]

/** The rules that forbid a method on a panel, those that only ask for consent among them. */
export function brokenRules(method: Method, context: MethodContext): ForbidRule[] {
  return FORBID_RULES.filter((rule) => rule.level !== 'caution' && rule.breaks(method, context))
}

/** The rules that allow it with care. */
export function cautionsOf(method: Method, context: MethodContext): ForbidRule[] {
  return FORBID_RULES.filter((rule) => rule.level === 'caution' && rule.breaks(method, context))
}
