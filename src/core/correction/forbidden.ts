import type { PaintSystem, Panel } from '../vehicle'
import { isMetal } from '../vehicle'
import type { GroupKnowledge } from './group'
import { PROCESS_KEYS, type Process } from './process'

/** What the rules look at before a process is allowed on a panel. */
export type ProcessContext = {
  panel: Panel
  paintSystem: PaintSystem
  budgetUm: number
  removalUm: number
  /** A wrap or film covers this panel. */
  underFilm: boolean
  /** A coating goes over the result. */
  underCoating: boolean
  /** There is something on the panel that lies deep: heavy marks, scratches, etching, sanding marks. */
  deeplyMarked: boolean
  /** What test spots have shown of its group. */
  known: Pick<GroupKnowledge, 'settled' | 'tooMuch'>
}

export const FORBID_IDS = [
  'never-polish-matte',
  'never-cut-film',
  'no-paint-on-bare-metal',
  'no-wool-on-single-stage',
  'nothing-coarse-on-plastic',
  'disc-only-for-deep-marks',
  'milder-was-enough',
  'too-much-at-test-spot',
  'no-all-in-one-under-coating',
  'over-budget',
] as const
export type ForbidId = (typeof FORBID_IDS)[number]

export type ForbidRule = {
  id: ForbidId
  breaks: (process: Process, context: ProcessContext) => boolean
}

const abrasive = (process: Process) => process.steps.length > 0
const strength = (process: Pick<Process, 'key'>) => PROCESS_KEYS.indexOf(process.key)
const uses = (process: Process, pattern: RegExp) =>
  process.steps.some((step) => pattern.test(step.pad) || pattern.test(step.machine))

/** Why a process may not be used on a panel (common practice). Every rule is looked at, not only the first. */
export const FORBID_RULES: readonly ForbidRule[] = [
  {
    id: 'never-polish-matte',
    breaks: (process, { paintSystem }) => paintSystem === 'matte' && abrasive(process),
  },
  {
    id: 'never-cut-film',
    breaks: (process, { underFilm }) => underFilm && abrasive(process),
  },
  {
    id: 'no-paint-on-bare-metal',
    breaks: (process, { paintSystem }) => paintSystem === 'bare-metal' && abrasive(process),
  },
  {
    id: 'no-wool-on-single-stage',
    breaks: (process, { paintSystem }) => paintSystem === 'single-stage' && uses(process, /wool|rotary/i),
  },
  {
    id: 'nothing-coarse-on-plastic',
    breaks: (process, { panel }) =>
      !isMetal(panel.substrate) && uses(process, /wool|rotary|microfibre|disc/i),
  },
  {
    id: 'disc-only-for-deep-marks',
    breaks: (process, { deeplyMarked }) => !deeplyMarked && uses(process, /disc/i),
  },
  {
    id: 'milder-was-enough',
    breaks: (process, { known: { settled } }) =>
      settled !== undefined && strength(process) > strength({ key: settled }),
  },
  {
    id: 'too-much-at-test-spot',
    breaks: (process, { known: { tooMuch } }) =>
      tooMuch.some((key) => strength(process) >= strength({ key })),
  },
  {
    id: 'no-all-in-one-under-coating',
    breaks: (process, { underCoating }) => underCoating && process.leavesProtection,
  },
  {
    id: 'over-budget',
    breaks: (_, { budgetUm, removalUm }) => removalUm > budgetUm,
  },
]

export function brokenRules(process: Process, context: ProcessContext): ForbidRule[] {
  return FORBID_RULES.filter((rule) => rule.breaks(process, context))
}
