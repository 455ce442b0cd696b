import type { Problem } from '../contract/problem'
import type { PlacedOperation } from '../contract/schedule-file'
import { Draft, endOf, startOf } from '../solver/draft'
import { compileModel, type ModelJob } from '../solver/model'
import type { Placed } from '../solver/place-job'
import { readPlacements, writeOperations } from '../solver/placements'
import { disturbance, type Late } from './disturbance'

/** Which few cars have to make way so that others are done in time, where nobody else moves. */

/** Jobs that make way at most, and how many sets of them are gone on with at each number (mem). */
const MOST = 3
const GONE_ON_WITH = 12
/** Jobs taken off, and what is late at least when the touched are placed without them. */
type Taken = { off: readonly ModelJob[]; least: Late }
/** The touched and those jobs placed again, and what the whole plan then comes to. */
type Way = { count: number; placed: ReadonlyMap<number, Placed>; late: Late; energy: number }

const NEVER: Late = { jobs: 0, minutes: Number.POSITIVE_INFINITY }
const NO_WAY: Way = { count: 0, placed: new Map(), late: NEVER, energy: 0 }

/**
 * The `touched` jobs are placed on the plan of the others with one other job off it, then two, then three, and those find themselves other places. It ends
 * with the fewest by which no more is late than is `allowed`, and of those ways with the one that costs least; where
 * three are not enough, with the least lateness. Nothing where nothing helps. The problem is taken to be checked, and the plan to hold all other jobs.
 */
export function makeWay(
  problem: Problem,
  plan: readonly PlacedOperation[],
  touched: ReadonlySet<string>,
  allowed: Late,
): PlacedOperation[] | undefined {
  const model = compileModel(problem)
  const draft = new Draft(model)
  const placements = readPlacements(model, plan)
  for (const job of model.jobs) {
    const placement = placements[job.index]
    if (touched.has(job.id)) continue
    if (!placement) return undefined
    draft.put(job, { placement, berths: [], causes: [] })
  }
  const own = model.jobs.filter(({ id }) => touched.has(id))
  const others = model.jobs.filter(
    ({ id, operations }) => !touched.has(id) && operations.some(({ pin }) => !pin),
  )
  const { least, way: alone } = without(draft, own, [], NO_WAY)
  let best = alone ?? NO_WAY
  let open: Taken[] = [{ off: [], least }]
  for (let count = 1; count <= MOST; count++) {
    const seen = new Map<string, Taken>()
    const enough: Way[] = []
    for (const { off } of open)
      for (const job of others) {
        if (![...own, ...off].some((each) => isInTheWay(draft, job, each, allowed.minutes))) continue
        const more = [...off, job].sort((a, b) => a.index - b.index)
        const key = more.map(({ index }) => index).join()
        if (off.includes(job) || seen.has(key)) continue
        const { least, way } = without(draft, own, more, best)
        seen.set(key, { off: more, least })
        if (way && way.late.jobs <= allowed.jobs && way.late.minutes <= allowed.minutes) enough.push(way)
        else if (way && disturbance(way.late, count) < disturbance(best.late, best.count)) best = way
      }
    if (enough.length > 0) {
      best = enough.reduce((a, b) => (b.energy < a.energy ? b : a))
      break
    }
    open = [...seen.values()]
      .sort((a, b) => disturbance(a.least, count) - disturbance(b.least, count))
      .slice(0, GONE_ON_WITH)
  }
  if (best.count === 0) return undefined
  return model.jobs.flatMap(({ index }) =>
    writeOperations(model, (best.placed.get(index) ?? draft.placed[index]!).placement),
  )
}

/** Whether a job stands where another could be that is to be done in time or little later. */
function isInTheWay(
  { placed }: Draft,
  job: ModelJob,
  { arrive, due = Number.POSITIVE_INFINITY, operations }: ModelJob,
  minutes: number,
): boolean {
  const from = operations.reduce(
    (at, { pin, minutes: long }) => (pin ? Math.max(at, pin.start + long) : at),
    arrive,
  )
  return endOf(placed[job.index]!) > from && startOf(placed[job.index]!) < due + minutes
}

/** Jobs placed again, those that were taken off after them; the draft is left as it was. No way where that cannot be better than `best`. */
function without(
  draft: Draft,
  own: readonly ModelJob[],
  off: readonly ModelJob[],
  best: Way,
): { least: Late; way?: Way } {
  const all = [...own, ...off]
  const before = all.map(({ index }) => draft.placed[index])
  const isPlaced = (job: ModelJob) => {
    draft.insert(job)
    return draft.placed[job.index] !== undefined
  }
  for (const job of all) draft.takeOff(job)
  const least = own.every(isPlaced) ? lateIn(draft) : NEVER
  let way: Way | undefined
  if (
    disturbance(least, off.length) < disturbance(best.late, best.count) &&
    off.toSorted(byDue).every(isPlaced)
  )
    way = {
      count: off.length,
      placed: new Map(all.map(({ index }) => [index, draft.placed[index]!])),
      late: lateIn(draft),
      energy: draft.energy(),
    }
  for (const job of all) draft.takeOff(job)
  for (const [at, job] of all.entries()) if (before[at]) draft.put(job, before[at])
  draft.failures.clear()
  return { least, ...(way ? { way } : {}) }
}

const byDue = (a: ModelJob, b: ModelJob) =>
  (a.due ?? Number.POSITIVE_INFINITY) - (b.due ?? Number.POSITIVE_INFINITY) || a.index - b.index

function lateIn({ model, placed }: Draft): Late {
  const late = model.jobs.flatMap(({ index, due = Number.POSITIVE_INFINITY }) => {
    const by = placed[index] ? endOf(placed[index]) - due : 0
    return by > 0 ? [by] : []
  })
  return { jobs: late.length, minutes: late.reduce((sum, by) => sum + by, 0) }
}
