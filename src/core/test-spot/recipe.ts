import { type Method, methodIn, PAIR_HAZE, pairUm, type Step, seededMethod, strengthOf } from '../correction'
import type { Attempt, AttemptStep } from './attempt'

/** The step of the method an attempt goes by, where it has one in that place. */
const sameTools = (step: Step | undefined, { machine, pad, liquid }: AttemptStep) =>
  step !== undefined && step.machine === machine && step.pad === pad && step.liquid === liquid

/**
 * One step as it was done: with the figures of the method where tools are its own, else with those of the pair. Passes are as
 * they were counted.
 */
function stepAsDone(step: Step | undefined, done: AttemptStep, at: number, of: number): Step {
  const { machine, pad, liquid, dial, passes, sectionM } = done
  const fixed = { least: passes, most: passes }
  if (step && sameTools(step, done)) return { ...step, dial, sectionM, passes: fixed }
  const like = step ?? seededMethod('two-step').steps[at === 0 ? 0 : 1]!
  return {
    ...like,
    machine,
    pad,
    liquid,
    dial,
    sectionM,
    role: of === 1 ? 'single' : at === of - 1 ? 'refine' : 'cut',
    removalPerPassUm: pairUm(pad, liquid),
    hazePoints: PAIR_HAZE[pad],
    passes: fixed,
  }
}

/** What was really done at a spot, as a method: its own steps, passes as counted. It bears the key it was begun from. */
export function asDone(attempt: Pick<Attempt, 'process' | 'steps'>, methods: readonly Method[]): Method {
  const begun = methodIn(methods, attempt.process) ?? seededMethod('one-step-polish')
  return {
    ...begun,
    key: attempt.process,
    steps: attempt.steps.map((step, at) => stepAsDone(begun.steps[at], step, at, attempt.steps.length)),
  }
}

/** µm an attempt takes by the table from paint of medium hardness: every step of it, with the passes it was given. */
export const tableUm = (attempt: Pick<Attempt, 'process' | 'steps'>, methods: readonly Method[]): number =>
  strengthOf(asDone(attempt, methods))

/** Whether the steps were those of the method, tool for tool; passes, dial and square may differ. */
export function byTheMethod(
  { process, steps }: Pick<Attempt, 'process' | 'steps'>,
  methods: readonly Method[],
) {
  const method = methodIn(methods, process)
  return (
    method !== undefined &&
    method.steps.length === steps.length &&
    steps.every((step, at) => sameTools(method.steps[at], step))
  )
}

/**
 * The recipe a good spot leaves to its panel group: its tools and squares; the passes of its first step stay open up to what the
 * method allows where the tools are the method’s own, since panels are marked unlike the spot.
 */
export function recipeOf(attempt: Pick<Attempt, 'process' | 'steps'>, methods: readonly Method[]): Method {
  const begun = methodIn(methods, attempt.process)
  const done = asDone(attempt, methods)
  return {
    ...done,
    steps: done.steps.map((step, at) => {
      const own = begun?.steps[at]
      return at === 0 && own && sameTools(own, attempt.steps[at]!)
        ? {
            ...step,
            passes: {
              least: Math.min(own.passes.least, step.passes.most),
              most: Math.max(own.passes.most, step.passes.most),
            },
          }
        : step
    }),
  }
}

/** How strong an attempt was: as its method is where it went by that, else by what was really done. */
export function strengthTried(
  attempt: Pick<Attempt, 'process' | 'steps'>,
  methods: readonly Method[],
): number {
  const method = methodIn(methods, attempt.process)
  return strengthOf(method && byTheMethod(attempt, methods) ? method : asDone(attempt, methods))
}
