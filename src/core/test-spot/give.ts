import { HARDNESS_GIVE, processOf, stepRemovalUm } from '../correction'
import { depthScaleUm, removalBetween } from '../survey'
import type { Hardness } from '../vehicle'
import type { Attempt } from './attempt'
import { type Estimate, shrink } from './shrink'

/** How hard a paint is, as test spots and finished jobs witness it. */

/** A declared hardness may be off by about a third either way (mem). */
const DECLARED_SD = 0.3
/** An eye under the lamp judges a share to about a tenth (mem). */
const EYE_SD = 0.1
/** How far the depth of marks of one kind differs from car to car, as a share of itself (mem). */
const DEPTH_SD = 0.25
/** Beyond these shares an eye tells nothing about the depth: all gone, or nothing. */
const CLEARED_LEAST = 0.03
const CLEARED_MOST = 0.97
/** A gauge that sees no removal still allows this share of what the table expects. */
const LEAST_SHARE = 0.1
/** Passes, pressure and pads differ from job to job, as a share (mem). */
const HAND_SD = 0.15

export function priorOf(hardness: Hardness): Estimate {
  return { log: Math.log(HARDNESS_GIVE[hardness]), variance: DECLARED_SD ** 2 }
}

/** µm the attempt takes by the table from paint of medium hardness. The passes are those of the first step. */
export function tableUm({ process, passes }: Pick<Attempt, 'process' | 'passes'>): number {
  const [first, ...rest] = processOf(process).steps
  if (!first) return 0
  return first.removalPerPassUm * passes + rest.reduce((sum, step) => sum + stepRemovalUm(step, 1), 0)
}

/**
 * What the seen clearing says: with depths exponential, r/λ = −ln(1 − c). Undefined where polishing does not mend the
 * mark or the process does nothing.
 */
export function byClearing(attempt: Attempt): Estimate | undefined {
  const lambda = depthScaleUm({ ...attempt.mark, extentPercent: 100, catchesNail: false })
  const table = tableUm(attempt)
  if (lambda === undefined || table === 0) return undefined
  const cleared = Math.min(CLEARED_MOST, Math.max(CLEARED_LEAST, attempt.cleared))
  const spent = -Math.log(1 - cleared)
  const eye = EYE_SD / ((1 - cleared) * spent)
  return { log: Math.log((spent * lambda) / table), variance: eye ** 2 + DEPTH_SD ** 2 }
}

/** What the gauge says: film before less film after. Undefined where either was not read twice. */
export function byFilm(attempt: Attempt): Estimate | undefined {
  const removal = removalBetween(attempt.beforeUm, attempt.afterUm)
  return removal && ofRemoval(removal.removedUm, removal.uncertaintyUm, tableUm(attempt))
}

/** A measured removal against the table’s for medium paint. Undefined where the table takes nothing. */
export function ofRemoval(removedUm: number, uncertaintyUm: number, table: number): Estimate | undefined {
  if (table <= 0) return undefined
  const share = Math.max(LEAST_SHARE, removedUm / table)
  return { log: Math.log(share), variance: (uncertaintyUm / table) ** 2 + HAND_SD ** 2 }
}

/** All that one attempt witnesses. */
export function witnessesOf(attempt: Attempt): Estimate[] {
  return [byClearing(attempt), byFilm(attempt)].filter((each) => each !== undefined)
}

/**
 * Several witnesses from one car as one: panels that one hand cut on one day are not independent, so together they are
 * never surer than the hand. Undefined without witnesses.
 */
export function pooled(witnesses: readonly Estimate[]): Estimate | undefined {
  const [first, ...rest] = witnesses
  if (!first) return undefined
  const { log, variance } = shrink(first, rest)
  return { log, variance: variance + HAND_SD ** 2 }
}
