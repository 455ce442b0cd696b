import { type LiveJob, type Progress, progressAt } from '../job'
import type { JobLink, PlannedOperation } from '../offer/operations'
import { nextOpen, openMinutesBetween, PROBLEM_FORMAT, type Problem, problemSchema } from '../schedule'
import { epochMinutes, fromEpochMinutes, type Instant, laterOf, minutesBetween, plusMinutes } from '../time'
import { AIR, AIR_PLACE, type DampAir, isCoat, linksByAir } from './damp-air'
import { type FileOperation, fileOperation, unattended } from './file-operations'
import { CLOSED, REST } from './parts'

/** A bay in which no car may stand for a while. */
export type Closure = { id: string; place: string; from: Instant; until: Instant }

export type ShopCalendar = Pick<
  Problem,
  'timezone' | 'slotMinutes' | 'horizonDays' | 'objective' | 'calendars' | 'places' | 'people'
> & { closures?: readonly Closure[]; damp?: readonly DampAir[] }

/** A layer whose window has really closed before the next one was begun. */
export type MissedWindow = { job: string; operation: string; after: string; closed: Instant }

/** So far back a calendar still looks, minutes: longer than any car has stood here (mem). */
const PAST_MINUTES = 60 * 1440

const MIN_REST_MINUTES = 5

type Pin = Problem['fixed'][number]
type Entry = { operations: FileOperation[]; pins: Pin[] }

const onMinute = (at: Instant) => fromEpochMinutes(epochMinutes(at))

/** The next start on the shop's grid, counted from the hour. */
export function nextSlot(now: Instant, slotMinutes: number): Instant {
  return fromEpochMinutes(Math.ceil(Date.parse(now) / 60_000 / slotMinutes) * slotMinutes)
}

/** A bay out of use, as the scheduler knows it: nobody’s job, pinned, that waits in the bay till it is open again. */
function closureJob(
  { places, horizonDays }: ShopCalendar,
  { id, place, from, until }: Closure,
  origin: Instant,
): { file: Record<string, unknown>; pins: Pin[] }[] {
  const kind = places.find((each) => each.id === place)?.kinds[0]
  const horizon = plusMinutes(origin, horizonDays * 1440)
  const [start, end] = [from < origin ? origin : onMinute(from), until < horizon ? onMinute(until) : horizon]
  if (!kind || end <= start) return []
  const operation = unattended('out', minutesBetween(start, end))
  const job = `${CLOSED}${id}`
  return [
    {
      file: {
        id: job,
        arrive: start,
        operations: [operation],
        stays: [{ id: 'out', kind, operations: ['out'] }],
      },
      pins: [{ job, operation: 'out', start, place }],
    },
  ]
}

class ProblemBuilder {
  private readonly busy = new Set<string>()
  readonly missed: MissedWindow[] = []

  constructor(
    private readonly shop: ShopCalendar,
    private readonly now: Instant,
    private readonly origin: Instant,
    private readonly options: PlanningOptions,
  ) {}

  job(job: LiveJob, keepPublished: boolean): { file: Record<string, unknown>; pins: Pin[] } {
    const entries = new Map(
      job.plan.operations.map((operation) => [operation.id, this.entry(job, operation, keepPublished)]),
    )
    const all = [...entries.values()]
    const starts = all.flatMap(({ pins }) => pins.map(({ start }) => start))
    const arrive = [onMinute(job.arrive), ...starts].reduce((a, b) => (a < b ? a : b))
    const byAir = this.linksByAir(job, arrive)
    const waits = byAir.length > 0
    return {
      file: {
        id: job.id,
        arrive,
        ...(job.due ? { due: onMinute(job.due) } : {}),
        weight: job.weight,
        operations: [...all.flatMap(({ operations }) => operations), ...(waits ? [unattended(AIR, 1)] : [])],
        links: [...this.links(job, entries), ...byAir],
        stays: [
          ...job.plan.stays.map((stay) => ({
            ...stay,
            operations: stay.operations.flatMap((id) =>
              entries.get(id)!.operations.map((operation) => operation.id),
            ),
          })),
          ...(waits ? [{ id: AIR, kind: AIR, operations: [AIR] }] : []),
        ],
      },
      pins: [
        ...all.flatMap(({ pins }) => pins),
        ...(waits ? [{ job: job.id, operation: AIR, start: arrive, place: AIR }] : []),
      ],
    }
  }

  private linksByAir(job: LiveJob, arrive: Instant): JobLink[] {
    const coats = job.plan.operations
      .filter((operation) => isCoat(operation) && !this.hasBegun(job, operation.id))
      .map((operation) => ({
        operation,
        planned: job.published.find((placed) => placed.operation === operation.id),
      }))
    const allAfter = this.options.coatAfterDamp ?? false
    return linksByAir(this.shop.damp ?? [], arrive, coats, { earliest: this.origin, allAfter })
  }

  private placeOf(job: LiveJob, operation: string): { place?: string } {
    if (this.options.forgetPlaces) return {}
    const place = job.published.find((placed) => placed.operation === operation)?.place
    return place === undefined ? {} : { place }
  }

  private entry(job: LiveJob, operation: PlannedOperation, keepPublished: boolean): Entry {
    const progress = progressAt(job, operation, this.now)
    const pin = (id: string, start: Instant, more: Partial<Pin> = {}): Pin => ({
      job: job.id,
      operation: id,
      start: onMinute(start),
      ...this.placeOf(job, operation.id),
      ...more,
    })
    if (progress.kind === 'done') {
      const from = this.notTooOld(progress.from)
      const minutes = Math.max(0, epochMinutes(progress.to) - epochMinutes(from))
      return { operations: [unattended(operation.id, minutes)], pins: [pin(operation.id, from)] }
    }
    if (progress.kind === 'started') {
      const at = this.notTooOld(progress.at)
      if (operation.mode === 'unattended')
        return { operations: [unattended(operation.id, operation.minutes)], pins: [pin(operation.id, at)] }
      return this.begun(operation, { ...progress, at }, pin)
    }
    const isPinned = !this.options.letPinsGo && job.pinned?.includes(operation.id)
    const planned =
      keepPublished || isPinned
        ? job.published.find((placed) => placed.operation === operation.id)
        : undefined
    const operations = [fileOperation(operation)]
    return planned && planned.start >= this.origin
      ? { operations, pins: [pin(operation.id, planned.start, { people: planned.people })] }
      : { operations, pins: [] }
  }

  /** A past that is further back than any stay is of no account to a calendar, and would only make it long. */
  private notTooOld(at: Instant): Instant {
    return laterOf(at, plusMinutes(this.origin, -PAST_MINUTES))
  }

  /** Work under way: what has been done is past, what is left goes on at once with the same person. */
  private begun(
    operation: PlannedOperation,
    progress: Extract<Progress, { kind: 'started' }>,
    pin: (id: string, start: Instant, more?: Partial<Pin>) => Pin,
  ): Entry {
    const { timezone, calendars, people } = this.shop
    const person = people.find(({ id }) => id === progress.by)
    const calendar = person && calendars[person.calendar]
    const elapsed = minutesBetween(onMinute(progress.at), this.origin)
    const worked =
      calendar && operation.mode === 'pausable'
        ? openMinutesBetween(calendar, timezone, progress.at, this.origin)
        : elapsed
    // What should be done by the next slot is believed to be; only what is overdue takes longer than was reckoned.
    const overdue = plusMinutes(progress.at, operation.minutes) <= this.now
    if (worked >= operation.minutes && !overdue)
      return {
        operations: [unattended(operation.id, operation.minutes)],
        pins: [pin(operation.id, progress.at)],
      }
    const left = Math.max(MIN_REST_MINUTES, operation.minutes - worked)
    // What began at this very slot has no part that is past: all of it is still to do.
    const past: Entry =
      elapsed > 0
        ? { operations: [unattended(operation.id, elapsed)], pins: [pin(operation.id, progress.at)] }
        : { operations: [], pins: [] }
    const rest = elapsed > 0 ? `${operation.id}${REST}` : operation.id
    const going = { ...fileOperation({ ...operation, minutes: left }), id: rest }
    const followedBy = (what: FileOperation, pins: Pin[]): Entry => ({
      operations: [...past.operations, what],
      pins: [...past.pins, ...pins],
    })
    const open = calendar
      ? openMinutesBetween(calendar, timezone, this.origin, plusMinutes(this.origin, left))
      : 0
    const goesOn =
      person &&
      !this.busy.has(person.id) &&
      (operation.mode === 'pausable'
        ? nextOpen(calendar!, timezone, this.origin) === this.origin
        : open === left)
    if (goesOn) {
      this.busy.add(person.id)
      return followedBy(going, [pin(rest, this.origin, { people: [person.id] })])
    }
    // Off shift and still at it, or paused until someone is back.
    return operation.mode === 'pausable'
      ? followedBy(going, [])
      : followedBy(unattended(rest, left), [pin(rest, this.origin)])
  }

  private links(job: LiveJob, entries: ReadonlyMap<string, Entry>): JobLink[] {
    const lastId = (id: string) => entries.get(id)!.operations.at(-1)!.id
    const inner = [...entries.values()].flatMap(({ operations }) =>
      operations.length > 1 ? [{ from: operations[0]!.id, to: operations[1]!.id, min: 0 }] : [],
    )
    const outer = job.plan.links.flatMap((link): JobLink[] => {
      if (this.hasBegun(job, link.to)) return []
      const from = job.plan.operations.find(({ id }) => id === link.from)!
      const progress = progressAt(job, from, this.now)
      const moved = { ...link, from: lastId(link.from) }
      if (progress.kind === 'open' || link.max === undefined) return [moved]
      const ended = progress.kind === 'done' ? progress.to : plusMinutes(progress.at, from.minutes)
      const closed = plusMinutes(ended, link.max)
      if (closed >= this.origin && !this.letsGo(job, link.to, closed)) return [moved]
      if (closed < this.origin)
        this.missed.push({ job: job.id, operation: link.to, after: link.from, closed })
      const { max: _, ...withoutMax } = moved
      return [withoutMax]
    })
    return [...inner, ...outer]
  }

  /** Whether a window that is still open is not insisted on. */
  private letsGo(job: LiveJob, operation: string, closed: Instant): boolean {
    const planned = job.published.find((placed) => placed.operation === operation)
    const isMissed = planned !== undefined && planned.start > closed
    return (this.options.letWindowsGo || (this.options.letMissedWindowsGo && isMissed)) ?? false
  }

  private hasBegun(job: LiveJob, id: string): boolean {
    const operation = job.plan.operations.find((candidate) => candidate.id === id)!
    return progressAt(job, operation, this.now).kind !== 'open'
  }
}

export type PlanningOptions = {
  now: Instant
  /** Jobs that may be moved; all others keep what was published for them. Everything may move when absent. */
  movable?: ReadonlySet<string>
  /** Give up where things were planned to stand: for a floor on which two cars ended up in one bay. */
  forgetPlaces?: boolean
  /** Let every coat wait for dry air, also those that were planned to be done before it gets damp. */
  coatAfterDamp?: boolean
  /** Give up what the manager has pinned: for a day on which it can no longer be kept. */
  letPinsGo?: boolean
  /** Give up the latest starts after work that has begun: for a day that has run too late to keep them. */
  letWindowsGo?: boolean
  /** Give up only those of them that the published plan misses already. */
  letMissedWindowsGo?: boolean
}

/**
 * The scheduling problem of the shop as it stands: what is done lies fixed in the past at its real length, what is
 * under way goes on, the rest is to be placed. A window that reality has missed is reported, not enforced.
 */
export function planningProblem(
  shop: ShopCalendar,
  jobs: readonly LiveJob[],
  options: PlanningOptions,
): { problem: Problem; missed: MissedWindow[] } {
  const origin = nextSlot(options.now, shop.slotMinutes)
  const builder = new ProblemBuilder(shop, options.now, origin, options)
  const built = [
    ...jobs.map((job) => builder.job(job, options.movable !== undefined && !options.movable.has(job.id))),
    ...(shop.closures ?? []).flatMap((closure) => closureJob(shop, closure, origin)),
  ]
  const isDamp = (shop.damp ?? []).length > 0
  const problem = problemSchema.parse({
    format: PROBLEM_FORMAT,
    ...shop,
    ...(isDamp
      ? {
          places: [...shop.places, AIR_PLACE],
          calendars: { ...shop.calendars, [AIR_PLACE.calendar]: { always: true } },
        }
      : {}),
    origin,
    jobs: built.map(({ file }) => file),
    fixed: built.flatMap(({ pins }) => pins),
  })
  return { problem, missed: builder.missed }
}
