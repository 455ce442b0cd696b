import type { Problem } from '../contract/problem'
import type { PlacedOperation } from '../contract/schedule-file'
import { Draft, endOf, startOf } from '../solver/draft'
import { compileModel, type ModelJob } from '../solver/model'
import type { Placed } from '../solver/place-job'
import { readPlacements, writeOperations } from '../solver/placements'

/** Which few cars have to make way so that others are done in time, where nobody else moves. */

/** Jobs that make way at most, and how many sets of them are gone on with at each number (mem). */
const MOST = 3
const GONE_ON_WITH = 3
/** One more that makes way is worth so much less lateness, minutes (mem). */
const WORTH_ONE_MORE = 60

/** What comes late on paper: how many jobs, and by how much together. */
type Late = { jobs: number; minutes: number }

/** Some jobs placed anew, in this turn, and what the whole plan then comes to. */
type Way = { turn: readonly ModelJob[]; placed: ReadonlyMap<number, Placed>; late: Late; energy: number }

const isLess = ({ late: one, turn }: Way, { late: other, turn: others }: Way): boolean =>
  one.jobs < other.jobs ||
  (one.jobs === other.jobs &&
    one.minutes + WORTH_ONE_MORE * turn.length < other.minutes + WORTH_ONE_MORE * others.length)

/**
 * The `touched` jobs are placed again where one other job was, then two, then three, and those find themselves other places. It ends with the fewest
 * by which no more than `late` jobs are late, and then with the way that costs least; where three are not enough, with the least lateness. Nothing
 * where nothing helps. The problem is taken to be checked, and the plan to be whole.
 */
export function makeWay(
  problem: Problem,
  plan: readonly PlacedOperation[],
  touched: ReadonlySet<string>,
  late: number,
): PlacedOperation[] | undefined {
  const model = compileModel(problem)
  const draft = new Draft(model)
  const placements = readPlacements(model, plan)
  for (const job of model.jobs) {
    const placement = placements[job.index]
    if (!placement) return undefined
    draft.put(job, { placement, berths: [], causes: [] })
  }
  const isTouched = ({ id }: ModelJob) => touched.has(id)
  const loose = model.jobs.filter((job) => job.operations.some(({ pin }) => !pin))
  const alone: Way = { turn: loose.filter(isTouched), placed: new Map(), late: lateIn(draft), energy: 0 }
  const written = ({ placed }: Way) =>
    model.jobs.flatMap(({ index }) =>
      writeOperations(model, (placed.get(index) ?? draft.placed[index]!).placement),
    )
  let least = alone
  let open: Way[] = alone.turn.length > 0 ? [alone] : []
  for (let count = 1; count <= MOST; count++) {
    const ways = open.flatMap((way) =>
      loose
        .filter((job) => !isTouched(job) && !way.turn.includes(job) && isBefore(draft, job, way))
        .flatMap((job) => wayOf(draft, [...way.turn, job]) ?? []),
    )
    const enough = ways.filter((way) => way.late.jobs <= late)
    if (enough.length > 0) return written(enough.reduce((a, b) => (b.energy < a.energy ? b : a)))
    open = ways.sort((a, b) => (isLess(a, b) ? -1 : 1)).slice(0, GONE_ON_WITH)
    if (open[0] && isLess(open[0], least)) least = open[0]
  }
  return least === alone ? undefined : written(least)
}

/** Whether a job stands where those that are placed again might be instead: it is not over before they can be gone on with, and begins before they end. */
function isBefore({ placed }: Draft, job: ModelJob, way: Way): boolean {
  const again = way.turn.map(({ index }) => way.placed.get(index) ?? placed[index]!)
  const from = Math.min(...way.turn.map((each, at) => goesOnAt(each, again[at]!)))
  return startOf(placed[job.index]!) < Math.max(...again.map(endOf)) && endOf(placed[job.index]!) > from
}

/** When a job can be gone on with: after what is fixed of it. */
const goesOnAt = ({ arrive, operations }: ModelJob, { placement }: Placed): number =>
  placement.operations.reduce(
    (at, { end }, index) => (operations[index]!.pin ? Math.max(at, end) : at),
    arrive,
  )

/** Those jobs placed again in this turn, everybody else where they are; the draft is left as it was. Nothing where one finds no place. */
function wayOf(draft: Draft, turn: readonly ModelJob[]): Way | undefined {
  const before = turn.map(({ index }) => draft.placed[index]!)
  for (const job of turn) draft.takeOff(job)
  const all = turn.every((job) => {
    draft.insert(job)
    return draft.placed[job.index]
  })
  const way = all
    ? {
        turn,
        placed: new Map(turn.map(({ index }) => [index, draft.placed[index]!])),
        late: lateIn(draft),
        energy: draft.energy(),
      }
    : undefined
  for (const job of turn) draft.takeOff(job)
  for (const [at, job] of turn.entries()) draft.put(job, before[at]!)
  draft.failures.clear()
  return way
}

function lateIn({ model, placed }: Draft): Late {
  const late = model.jobs.flatMap((job) => {
    const by = endOf(placed[job.index]!) - (job.due ?? Number.POSITIVE_INFINITY)
    return by > 0 ? [by] : []
  })
  return { jobs: late.length, minutes: late.reduce((sum, by) => sum + by, 0) }
}
