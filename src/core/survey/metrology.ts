import { type Spot, type SpotSizes, spotsOf } from './spots'
import { mean } from './statistics'

/**
 * How surely film is known. The unit is the spot mean: three readings of one spot are one spot, and tell of the gauge, not of the
 * panel. What spots of a panel differ by is learned from all panels of the car together, since two or three spots say little.
 */

/** How far film lies apart between spots of one panel, µm, standard deviation (mem), and so many spots that guess is worth. */
const SPOT_SPREAD_UM = 3
const SPOT_SPREAD_WORTH = 6
/** To what a gauge repeats on one spot, µm, standard deviation (mem; see its certificate), and so many readings that is worth. */
const REPEAT_UM = 1
const REPEAT_WORTH = 12
/** What a gauge reads off from one day to the next, alike on every spot, µm, standard deviation (mem). */
export const DAY_OFFSET_UM = 0.3

/** Standard deviations in µm: between spots of a panel, and between readings of a spot. */
export type Spread = { spotUm: number; repeatUm: number }

/** A standard deviation pooled over groups, each about its own mean, with a guess that counts for so many values. */
function pooled(groups: readonly (readonly number[])[], guess: number, worth: number): number {
  let [squares, degrees] = [worth * guess ** 2, worth]
  for (const group of groups) {
    if (group.length < 2) continue
    const centre = mean(group)
    squares += group.reduce((sum, value) => sum + (value - centre) ** 2, 0)
    degrees += group.length - 1
  }
  return Math.sqrt(squares / degrees)
}

/** Readings of panels, µm, in the order they were taken: of one round or of several, each its own list. */
export type Rounds = readonly Readonly<Record<string, readonly number[]>>[]

/** What panels tell of their spread and of the gauge, each as its spots. `guess` stands for a car of which little is known. */
export function spreadOfSpots(panels: readonly (readonly Spot[])[], guess = SPOT_SPREAD_UM): Spread {
  return {
    spotUm: pooled(
      panels.map((spots) => spots.map(({ meanUm }) => meanUm)),
      guess,
      SPOT_SPREAD_WORTH,
    ),
    repeatUm: pooled(
      panels.flatMap((spots) => spots.map(({ readingsUm }) => readingsUm)),
      REPEAT_UM,
      REPEAT_WORTH,
    ),
  }
}

/** What the panels of a car tell of its spread and of the gauge. */
export const spreadOf = (rounds: Rounds, sizes: SpotSizes = {}): Spread =>
  spreadOfSpots(
    rounds.flatMap((round) => Object.entries(round)).map(([panel, values]) => spotsOf(values, sizes[panel])),
  )

/** Mean of a panel from its spot means, µm, with its standard uncertainty; undefined without readings. */
export function meanFilm(
  readingsUm: readonly number[],
  spread: Spread,
  sizes?: readonly number[],
): MeanFilm | undefined {
  return readingsUm.length > 0 ? meanOfSpots(spotsOf(readingsUm, sizes), spread) : undefined
}

export type MeanFilm = { meanUm: number; uncertaintyUm: number; spots: number }

const meanOfSpots = (spots: readonly Spot[], { spotUm }: Spread): MeanFilm => ({
  meanUm: mean(spots.map(({ meanUm }) => meanUm)),
  uncertaintyUm: spotUm / Math.sqrt(spots.length),
  spots: spots.length,
})

export type Difference = { removedUm: number; uncertaintyUm: number }

/** A difference with the two means it is the difference of, µm. */
export type Compared = Difference & { beforeUm: number; afterUm: number }

const count = (spots: readonly Spot[]) => spots.reduce((sum, { readingsUm }) => sum + readingsUm.length, 0)

/**
 * What went between two rounds read wherever the probe happened to be, µm: the difference of two means, each as unsure as its
 * spots are few. Undefined where a round has fewer than two readings.
 */
export function removalElsewhere(
  before: readonly Spot[],
  after: readonly Spot[],
  spread: Spread,
): Compared | undefined {
  if (count(before) < 2 || count(after) < 2) return undefined
  const [first, second] = [meanOfSpots(before, spread), meanOfSpots(after, spread)]
  return {
    beforeUm: first.meanUm,
    afterUm: second.meanUm,
    removedUm: first.meanUm - second.meanUm,
    uncertaintyUm: Math.hypot(first.uncertaintyUm, second.uncertaintyUm, DAY_OFFSET_UM),
  }
}

/**
 * What went at marked spots read before and after, µm: the mean of the differences spot by spot, from which the paint’s own
 * unevenness falls out; what is left is the gauge. Spots read only once do not count.
 */
export function removalAtMarks(
  before: readonly Spot[],
  after: readonly Spot[],
  { repeatUm }: Spread,
): Compared | undefined {
  const pairs = Math.min(before.length, after.length)
  if (pairs === 0 || count(before) < 2 || count(after) < 2) return undefined
  const differences = Array.from({ length: pairs }, (_, at) => {
    const [first, second] = [before[at]!, after[at]!]
    return {
      um: first.meanUm - second.meanUm,
      variance: repeatUm ** 2 * (1 / first.readingsUm.length + 1 / second.readingsUm.length),
    }
  })
  const expected = Math.sqrt(mean(differences.map(({ variance }) => variance)))
  // A probe set down beside its mark shows in differences that scatter more than the gauge does.
  const seen = pooled([differences.map(({ um }) => um)], expected, REPEAT_WORTH)
  const meanOf = (spots: readonly Spot[]) => mean(spots.slice(0, pairs).map(({ meanUm }) => meanUm))
  return {
    beforeUm: meanOf(before),
    afterUm: meanOf(after),
    removedUm: mean(differences.map(({ um }) => um)),
    uncertaintyUm: Math.hypot(Math.max(expected, seen) / Math.sqrt(pairs), DAY_OFFSET_UM),
  }
}

/** The same for readings one after the other, three to a spot. */
export const removalBetween = (
  beforeUm: readonly number[],
  afterUm: readonly number[],
  spread: Spread = spreadOf([{ before: beforeUm, after: afterUm }]),
): Compared | undefined => removalElsewhere(spotsOf(beforeUm), spotsOf(afterUm), spread)

export const removalAtSpots = (
  beforeUm: readonly number[],
  afterUm: readonly number[],
  spread: Spread = spreadOf([{ before: beforeUm, after: afterUm }]),
): Compared | undefined => removalAtMarks(spotsOf(beforeUm), spotsOf(afterUm), spread)

/** The one or the other, as the second round was read at the spots of the first or wherever the probe happened to be. */
export const removalWhere = (sameSpots: boolean) => (sameSpots ? removalAtSpots : removalBetween)

/** What went at one spot whose readings were all taken on it, µm: a test spot. Undefined where a side has fewer than two. */
export function removalAtSpot(
  beforeUm: readonly number[],
  afterUm: readonly number[],
): Difference | undefined {
  if (beforeUm.length < 2 || afterUm.length < 2) return undefined
  const repeatUm = pooled([beforeUm, afterUm], REPEAT_UM, REPEAT_WORTH)
  return {
    removedUm: mean(beforeUm) - mean(afterUm),
    uncertaintyUm: repeatUm * Math.sqrt(1 / beforeUm.length + 1 / afterUm.length),
  }
}

/** What no polishing does: paint that grew, or more gone than any work takes, µm beyond twice the uncertainty (mem). */
const GROWN_UM = 4
const GONE_UM = 15

export const QUESTIONS = ['grown', 'too-much-gone'] as const
export type DifferenceQuestion = (typeof QUESTIONS)[number]

/** What has to be asked about a difference before anybody believes it; undefined where it may well be so. */
export function questionOf({ removedUm, uncertaintyUm }: Difference): DifferenceQuestion | undefined {
  const slack = 2 * uncertaintyUm
  if (removedUm <= -Math.min(GROWN_UM + slack, 10)) return 'grown'
  return removedUm > GONE_UM + slack ? 'too-much-gone' : undefined
}

/** A difference one may reckon with: what has to be asked about is no witness, however well its readings agree. */
export const believable = <D extends Difference>(difference: D | undefined): D | undefined =>
  difference && questionOf(difference) === undefined ? difference : undefined
