import { HARDNESS_GIVE, type Method } from '../correction'
import { asDeep, DAY_OFFSET_UM, type DepthScales, depthScaleUm, removalAtSpot } from '../survey'
import type { Hardness } from '../vehicle'
import type { Attempt } from './attempt'
import { onGrid } from './grid'
import { tableUm } from './recipe'
import { type Estimate, shrink } from './shrink'

/**
 * How a paint answers the pad, in two figures that different witnesses tell. Its rate is µm lost for each that paint of medium
 * hardness would lose: only film, measured before and after, says it. Its ratio is that rate over how deep its marks lie against
 * the table: only what has gone under the lamp says it, and it alone says what the next step will clear.
 */

/** A declared hardness may be off by about a third either way (mem). */
const DECLARED_SD = 0.3
/** An eye under the lamp judges a share to about a tenth (mem). */
const EYE_SD = 0.1
/** A gauge that sees no removal still allows this share of what the table expects. */
const LEAST_SHARE = 0.1
/** Passes, pressure and pads differ from spot to spot and from job to job, as a share (mem). */
export const HAND_SD = 0.15
/**
 * Degrees of freedom of what is believed of a ratio before a spot: few, so that marks which lie far deeper than any before are
 * believed once they are seen, and not averaged away.
 */
const RATIO_FREEDOM = 4

export function priorOf(hardness: Hardness): Estimate {
  return { log: Math.log(HARDNESS_GIVE[hardness]), variance: DECLARED_SD ** 2 }
}

/** What the marks of a spot tell of the ratio: their share that went, and the µm of table over their depth that it took. */
export type ClearingWitness = { share: number; depths: number }

/** What was seen to go at a spot. Undefined where polishing does not mend the mark or nothing was taken. */
export function byClearing(
  attempt: Attempt,
  methods: readonly Method[],
  depths?: DepthScales,
): ClearingWitness | undefined {
  const lambda = depthScaleUm(asDeep({ ...attempt.mark, extentPercent: 100, catchesNail: false }, depths))
  const table = tableUm(attempt, methods)
  return lambda === undefined || table === 0 ? undefined : { share: attempt.cleared, depths: table / lambda }
}

/** What the film of a spot tells of the rate, µm: what it lost, how surely, and what the table says medium paint would lose. */
export type FilmWitness = { removedUm: number; uncertaintyUm: number; tableUm: number }

/** What the gauge says: film before less film after. Undefined where either was not read twice. */
export function byFilm(attempt: Attempt, methods: readonly Method[]): FilmWitness | undefined {
  const removal = attempt.removed ?? removalAtSpot(attempt.beforeUm, attempt.afterUm)
  const table = tableUm(attempt, methods)
  return removal && table > 0 ? { ...removal, tableUm: table } : undefined
}

/** The rate after those spots: what was known before, and each removal with the error of its gauge and of the hand. */
export function rateAfter(before: Estimate, films: readonly FilmWitness[]): Estimate {
  return onGrid(before, (log) => {
    const rate = Math.exp(log)
    return films.reduce((sum, { removedUm, uncertaintyUm, tableUm: table }) => {
      const expected = table * rate
      const sd = Math.hypot(uncertaintyUm, HAND_SD * expected)
      return sum - 0.5 * ((removedUm - expected) / sd) ** 2 - Math.log(sd)
    }, 0)
  })
}

/** The ratio after those spots, by the shares that went. Its spots share one car, so they share its depth. */
export function ratioAfter(before: Estimate, seen: readonly ClearingWitness[]): Estimate {
  return onGrid(
    before,
    (log) =>
      seen.reduce((sum, { share, depths }) => {
        const expected = 1 - Math.exp(-depths * Math.exp(log))
        return sum - 0.5 * ((share - expected) / EYE_SD) ** 2
      }, 0),
    RATIO_FREEDOM,
  )
}

/**
 * The rate of one car from all that was read on it: removals against what the table expects, a line through nothing, each
 * weighing by how surely it is known. Logarithms panel by panel would be of no use: where a light polish takes a quarter of a µm, a
 * gauge reads it below nothing as often as not. What the gauge was off by on the day is one error of all of them; so is the hand.
 * Undefined where the table takes nothing. Source: weighted least squares with an error in common.
 */
export function rateOfCar(films: readonly FilmWitness[]): Estimate | undefined {
  const told = films.filter(({ tableUm: table }) => table > 0)
  if (told.length === 0) return undefined
  const sum = (of: (film: FilmWitness) => number) =>
    told.reduce((total, film) => total + of(film) / film.uncertaintyUm ** 2, 0)
  const weight = sum(({ tableUm: table }) => table ** 2)
  const rate = sum(({ removedUm, tableUm: table }) => removedUm * table) / weight
  const offset = (DAY_OFFSET_UM * sum(({ tableUm: table }) => table)) / weight
  const sd = Math.hypot(1 / Math.sqrt(weight), offset)
  // A rate that is lost in its own error says next to nothing; it is told as a share of that error.
  const said = Math.max(rate, sd / 2, LEAST_SHARE)
  return { log: Math.log(said), variance: (sd / said) ** 2 + HAND_SD ** 2 }
}

/** A share that went, as what it tells of the ratio by itself; undefined where all or nothing went, which tells only a bound. */
export function ofClearing({ share, depths }: ClearingWitness): Estimate | undefined {
  if (share < 0.03 || share > 0.97) return undefined
  const spent = -Math.log(1 - share)
  return { log: Math.log(spent / depths), variance: (EYE_SD / ((1 - share) * spent)) ** 2 }
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
