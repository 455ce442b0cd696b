import { type MethodKey, seededMethod, worked } from '../correction'
import type { Attempt, AttemptStep } from './attempt'

/** The steps of a method as they are tried on a square, the first with as many passes as said. */
export const stepsTried = (key: MethodKey, passes?: number): AttemptStep[] =>
  worked(seededMethod(key)).steps.map(({ machine, pad, liquid, dial, ...step }, at) => ({
    machine,
    pad,
    liquid,
    product: '',
    dial,
    passes: at === 0 ? (passes ?? step.passes) : step.passes,
    sectionM: Math.min(0.6, step.sectionM),
  }))

/** An attempt for tests: a one-step cut on the bonnet that left too much behind; of another method by its own steps. */
export const attempt = ({ passes, ...more }: Partial<Attempt> & { passes?: number } = {}): Attempt => ({
  panel: 'bonnet',
  group: 'metal-original',
  process: 'one-step-cut',
  steps: stepsTried(more.process ?? 'one-step-cut', passes),
  mark: { kind: 'swirls', severity: 2 },
  cleared: 0.6,
  haze: 'none',
  heat: 'warm',
  beforeUm: [],
  afterUm: [],
  verdict: 'more',
  note: '',
  ...more,
})
