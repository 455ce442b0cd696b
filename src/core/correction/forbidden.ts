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
  /** A coating will be laid over the result. */
  underCoating: boolean
  /** There is something on the panel that lies deep: heavy marks, scratches, etching, sanding marks. */
  deeplyMarked: boolean
  /** What test spots have shown of its group. */
  known: Pick<GroupKnowledge, 'settled' | 'tooMuch'>
}

export type ForbidRule = {
  id: string
  reason: string
  remedy: string
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
    reason: 'Polishing a matte finish leaves shiny patches that never go away.',
    remedy: 'Wash, decontaminate and protect it with a product made for matte.',
    breaks: (process, { paintSystem }) => paintSystem === 'matte' && abrasive(process),
  },
  {
    id: 'never-cut-film',
    reason: 'A wrap or film is not paint: a pad burns or lifts it.',
    remedy: 'Clean it, or have it replaced by whoever laid it.',
    breaks: (process, { underFilm }) => underFilm && abrasive(process),
  },
  {
    id: 'no-paint-on-bare-metal',
    reason: 'There is no paint here to cut or to refine.',
    remedy: 'Metal polish and a product for bare metal, by hand.',
    breaks: (process, { paintSystem }) => paintSystem === 'bare-metal' && abrasive(process),
  },
  {
    id: 'no-wool-on-single-stage',
    reason: 'A rotary or wool on single-stage paint leaves tiger stripes.',
    remedy: 'Stay with foam or microfibre on a dual-action machine.',
    breaks: (process, { paintSystem }) => paintSystem === 'single-stage' && uses(process, /wool|rotary/i),
  },
  {
    id: 'nothing-coarse-on-plastic',
    reason: 'Painted plastic heats first and its film cannot be read.',
    remedy: 'One mild step with foam at most.',
    breaks: (process, { panel }) =>
      !isMetal(panel.substrate) && uses(process, /wool|rotary|microfibre|disc/i),
  },
  {
    id: 'disc-only-for-deep-marks',
    reason: 'A sanding disc is for deep marks; here it would spend paint on nothing.',
    remedy: 'A compound reaches what is here.',
    breaks: (process, { deeplyMarked }) => !deeplyMarked && uses(process, /disc/i),
  },
  {
    id: 'milder-was-enough',
    reason: 'At the test spot something milder was enough on panels like this.',
    remedy: 'Stay with what the test spot showed, or try another spot here.',
    breaks: (process, { known: { settled } }) =>
      settled !== undefined && strength(process) > strength({ key: settled }),
  },
  {
    id: 'too-much-at-test-spot',
    reason: 'At the test spot this, or something milder, did harm on panels like this.',
    remedy: 'Use something milder, or try another pad there.',
    breaks: (process, { known: { tooMuch } }) =>
      tooMuch.some((key) => strength(process) >= strength({ key })),
  },
  {
    id: 'no-all-in-one-under-coating',
    reason: 'An all-in-one leaves protection behind, and a coating does not hold on it.',
    remedy: 'Use a plain polish where a coating follows.',
    breaks: (process, { underCoating }) => underCoating && process.leavesProtection,
  },
  {
    id: 'over-budget',
    reason: 'It takes more paint than this panel can spare.',
    remedy: 'Use a milder process, or leave the panel and say so.',
    breaks: (_, { budgetUm, removalUm }) => removalUm > budgetUm,
  },
]

export function brokenRules(process: Process, context: ProcessContext): ForbidRule[] {
  return FORBID_RULES.filter((rule) => rule.breaks(process, context))
}
