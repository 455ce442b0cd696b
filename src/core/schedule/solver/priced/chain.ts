import { firstEndingAfter, type Interval } from '../../contract/intervals'
import { type Model, type ModelJob, type ModelOperation, minutesWith } from '../model'
import { TEAMS_MAX } from '../teams'
import { workEnd } from '../work-time'

/** A job as a chain of steps on the slots of the calendar: what of it can be priced step by step. */

/** Nothing ends there: it cannot begin in that slot. */
export const NEVER = -1

/** One way to do a step: by whom, and when it ends if it begins in each slot, minutes from the origin. */
export type Way = { people: readonly number[]; end: Int32Array }

export type ChainStep = {
  ways: readonly Way[]
  /** So many minutes after the slot in which it begins its place is held at the latest: it may begin at any minute of it. */
  heldAfter: number
  /** Slots from the end of it, or the next after, until the following step may begin; and in how many slots from there it must. */
  lag: number
  within: number
  /** Stays, by index, that begin with this step, and that end with it. */
  begins: readonly number[]
  ends: readonly number[]
}

export type Chain = { job: ModelJob; steps: readonly ChainStep[]; stays: readonly number[] }

/** When work that begins in each slot would end. Only what can begin and end in the horizon does. */
function endsOf(
  { slot, horizon }: Pick<Model, 'slot' | 'horizon'>,
  slots: number,
  operation: ModelOperation,
  people: readonly number[],
  open: readonly Interval[],
  from: number,
): Int32Array {
  const end = new Int32Array(slots).fill(NEVER)
  const minutes = minutesWith(operation, operation.mode === 'unattended' ? undefined : people)
  for (let at = Math.max(0, Math.ceil(from / slot)); at < slots; at++) {
    const start = at * slot
    if (operation.mode === 'unattended') {
      if (start + minutes <= horizon) end[at] = start + minutes
      continue
    }
    const first = firstEndingAfter(open, start)
    if (first >= open.length) break
    if (open[first]!.from > start) continue
    if (operation.mode === 'solid') {
      if (start + minutes <= open[first]!.to) end[at] = start + minutes
    } else {
      const done = workEnd(open, start, minutes)
      if (done === undefined) break
      end[at] = done
    }
  }
  return end
}

/** Every way to do an operation, of places of one calendar one; undefined where there are more teams than are looked at. */
function waysOf(model: Model, slots: number, job: ModelJob, operation: ModelOperation): Way[] | undefined {
  const from = Math.max(job.arrive, operation.dryFrom ?? job.arrive)
  if (operation.mode === 'unattended')
    return [
      {
        people: [],
        end: endsOf(model, slots, operation, [], [], Math.floor(from / model.slot) * model.slot),
      },
    ]
  const ways: Way[] = []
  const seen = new Map<string, readonly Interval[]>()
  for (const place of job.stays[operation.stay]!.places) {
    const crews = model.crewsFor(operation, place)
    if (crews.length >= TEAMS_MAX) return undefined
    for (const { people, open } of crews) {
      const team = people.join()
      if (seen.get(team) === open) continue
      seen.set(team, open)
      ways.push({ people, end: endsOf(model, slots, operation, people, open, from) })
    }
  }
  return ways
}

/** The operations of a job along its links, one directly after the other: those that take longest together. */
function longestPath(job: ModelJob): number[] {
  const best: { minutes: number; next?: number }[] = []
  for (const index of job.order!.toReversed()) {
    best[index] = { minutes: 0 }
    for (const { from, to, min } of job.links)
      if (from === index && min + best[to]!.minutes >= best[index]!.minutes)
        best[index] = { minutes: min + best[to]!.minutes, next: to }
    best[index]!.minutes += job.operations[index]!.minutes
  }
  const path: number[] = []
  const head = job.order!.reduce((a, b) => (best[b]!.minutes > best[a]!.minutes ? b : a))
  for (let at: number | undefined = head; at !== undefined; at = best[at]!.next) path.push(at)
  return path
}

/** Whether all that a problem says of times falls on its slots: then a chain on the slots is not sooner than the work itself. */
export function isAligned({ jobs, slot, personIds, placeIds, openFor }: Model): boolean {
  const onSlot = (minute: number) => minute % slot === 0 || minute === Number.POSITIVE_INFINITY
  return (
    [...personIds.keys()].every((person) =>
      [...placeIds.keys()].every((place) =>
        openFor([person], place).every(({ from, to }) => onSlot(from) && onSlot(to)),
      ),
    ) &&
    jobs.every(
      ({ arrive, due, operations, links }) =>
        onSlot(arrive) &&
        onSlot(due ?? 0) &&
        operations.every((each) => onSlot(each.minutes) && !each.shared) &&
        links.every(({ min, max }) => onSlot(min) && onSlot(max)),
    )
  )
}

/**
 * The chain of a job, or of its longest path where some of it runs beside the rest: nothing of the job costs less than its chain. Undefined for
 * what has begun or is fixed, and where too many teams could do a step.
 */
export function chainOf(model: Model, job: ModelJob, slots: number): Chain | undefined {
  if (job.pinned || !job.order) return undefined
  const path = longestPath(job)
  const { slot } = model
  // Nobody attends to it, so it may begin between two slots: what follows it has a slot more.
  const loose = isAligned(model) ? 0 : 1
  const own = job.stays.flatMap((stay, index) =>
    path.some((at) => stay.operations.includes(at)) ? [index] : [],
  )
  const steps: ChainStep[] = []
  for (const [at, index] of path.entries()) {
    const operation = job.operations[index]!
    const ways = waysOf(model, slots, job, operation)
    if (!ways) return undefined
    const link = job.links.find(({ from, to }) => from === index && to === path[at + 1])
    const on = (which: 'first' | 'last') =>
      own.filter((stay) => {
        const inPath = path.filter((each) => job.stays[stay]!.operations.includes(each))
        return (which === 'first' ? inPath[0] : inPath.at(-1)) === index
      })
    const next = link ? job.operations[link.to]! : undefined
    // What begins at any minute is looked at in the slot before.
    const lag = (link?.min ?? 0) - (next?.mode === 'unattended' ? loose * (slot - 1) : 0)
    const within =
      link && link.max < Number.POSITIVE_INFINITY
        ? Math.floor((link.max - link.min) / slot) + 1 + 2 * loose
        : Number.POSITIVE_INFINITY
    const heldAfter = operation.mode === 'unattended' ? loose * (slot - 1) : 0
    steps.push({ ways, heldAfter, lag, within, begins: on('first'), ends: on('last') })
  }
  return { job, steps, stays: own }
}
