import { z } from 'zod'
import type { JobId } from '../ids'
import type { Floor } from '../planning'
import { type Booked, bookedIn } from './booked'
import { type AskedCar, BUSIER, type Busier, busier } from './demand'
import { FIGURES, type Figure } from './figures'
import { type LivedRun, Replay } from './replay'
import { type ShopChange, setupWith } from './shop-change'
import { type Compared, compared } from './spread'

/** What a change of the shop would buy: what is booked and a year of demand, before it and after it. */

/** All that is worked on; plain data. */
export type Ground = {
  floor: Floor
  /** What each booked car leaves before its bay is paid, cents. */
  earned: [JobId, number][]
  /** The cars of the past year, as they were asked for. */
  past: AskedCar[]
}

export type Question = { change: ShopChange; busier: Busier }

/** Lives of the year that are compared: half a minute’s work (tried out). */
export const LIVES = 10
/** Which of the cars come again where it is busier. */
const SEED = 7919
/** How much of the time what is booked takes; the rest is the year (tried out). */
const BOOKED_SHARE = 0.3

/** What one shop comes to. */
export type ShopRuns = { booked: Booked; lives: LivedRun[] }

/** One side of the comparison: the shop as it is where no change is given. Yields the share that is done, 0–1. Throws where the change has no meaning in this shop. */
export function* shopRuns(
  { floor, earned, past }: Ground,
  times: Busier,
  change?: ShopChange,
): Generator<number, ShopRuns> {
  const { setup: asIs } = floor.shop
  const setup = change ? setupWith(asIs, change) : asIs
  if (!setup) throw new Error('the change has no meaning in this shop')
  const planning = bookedIn({ ...floor, shop: { ...floor.shop, setup } }, new Map(earned))
  let booked = planning.next()
  while (!booked.done) {
    yield BOOKED_SHARE * booked.value
    booked = planning.next()
  }
  const lives: LivedRun[] = []
  if (past.length > 0) {
    const replay = new Replay(setup, busier(past, times, SEED))
    for (let run = 0; run < LIVES; run++) {
      const living = replay.live(run)
      let lived = living.next()
      while (!lived.done) {
        yield BOOKED_SHARE + ((1 - BOOKED_SHARE) * (run + lived.value)) / LIVES
        lived = living.next()
      }
      lives.push(lived.value)
    }
  }
  return { booked: booked.value, lives }
}

const spread = z.strictObject({ mean: z.number(), low: z.number(), high: z.number() })
const comparedSchema = z.strictObject({ before: spread, after: spread, difference: spread })
const figures = z.strictObject(
  Object.fromEntries(FIGURES.map((figure) => [figure, comparedSchema])) as Record<
    Figure,
    typeof comparedSchema
  >,
)

export const busierSchema = z.literal(BUSIER)

/** What is kept and shown of it. */
export const boughtSchema = z.strictObject({
  booked: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('compared'), cars: z.int(), figures }),
    z.strictObject({ kind: z.literal('no-room') }),
    z.strictObject({ kind: z.literal('nothing') }),
  ]),
  /** The year; absent where nothing is known of one. Cars in all lives together, on average. */
  year: z
    .strictObject({ figures, taken: comparedSchema, lost: comparedSchema, leftCentsPerWeek: comparedSchema })
    .optional(),
})

export type Bought = z.infer<typeof boughtSchema>

/** The figures of two lists of runs, the runs of one luck at the same place. */
const figuresCompared = <Run>(
  before: readonly Run[],
  after: readonly Run[],
  of: (run: Run, figure: Figure) => number,
): Record<Figure, Compared> =>
  Object.fromEntries(
    FIGURES.map((figure) => [
      figure,
      compared(
        before.map((run) => of(run, figure)),
        after.map((run) => of(run, figure)),
      ),
    ]),
  ) as Record<Figure, Compared>

function bookedCompared(before: Booked, after: Booked): Bought['booked'] {
  if (before.kind === 'nothing') return { kind: 'nothing' }
  if (before.kind !== 'planned' || after.kind !== 'planned') return { kind: 'no-room' }
  return {
    kind: 'compared',
    cars: before.cars,
    figures: figuresCompared(before.runs, after.runs, (run, figure) => run[figure]),
  }
}

/** What a change buys, from what the shop comes to without it and with it. */
export function bought(before: ShopRuns, after: ShopRuns): Bought {
  const booked = bookedCompared(before.booked, after.booked)
  if (before.lives.length === 0) return { booked }
  const of = (figure: 'taken' | 'lost' | 'leftCentsPerWeek') =>
    compared(
      before.lives.map((life) => life[figure]),
      after.lives.map((life) => life[figure]),
    )
  return {
    booked,
    year: {
      figures: figuresCompared(before.lives, after.lives, (life, figure) => life.figures[figure]),
      taken: of('taken'),
      lost: of('lost'),
      leftCentsPerWeek: of('leftCentsPerWeek'),
    },
  }
}
