import { BLINDS, blindToIt } from '../handover/inspection'
import { type BayId, type JobId, type OperationId, toOperationId } from '../ids'
import { type LiveJob, type Progress, progressAt } from '../job'
import type { PlannedOperation } from '../offer/job-plan'
import {
  type Closed,
  nextOpen,
  openMinutesBetween,
  type Problem,
  type ProblemJob,
  type ProblemOperation,
} from '../schedule'
import { epochMinutes, fromEpochMinutes, type Instant, laterOf, minutesBetween, plusMinutes } from '../time'
import { type BayRoom, fitsIn } from '../vehicle'
import { type DampAir, dryAirFor, isCoat } from './damp-air'
import { toSchedule, unattended } from './file-operations'
import { kindOf, withRoof } from './roof'

/** A bay in which no car may stand for a while. */
export type Closure = { id: string; place: BayId; from: Instant; until: Instant }

export type ShopCalendar = Pick<
  Problem,
  'timezone' | 'offsiteCost' | 'slotMinutes' | 'horizonDays' | 'objective' | 'calendars' | 'people'
> & {
  places: (Problem['places'][number] & BayRoom)[]
  closures?: readonly Closure[]
  damp?: readonly DampAir[]
}

/** A layer whose window has really closed before the next one was begun. */
export type MissedWindow = { job: JobId; operation: OperationId; after: string; closed: Instant }

/** So far back a calendar still looks, minutes: longer than any car has stood here (mem). */
const PAST_MINUTES = 60 * 1440

const MIN_REST_MINUTES = 5

type Pin = Problem['fixed'][number]
type Entry = { operations: ProblemOperation[]; pins: Pin[] }

const onMinute = (at: Instant) => fromEpochMinutes(epochMinutes(at))

/** The next start on the shop's grid, counted from the hour. */
export function nextSlot(now: Instant, slotMinutes: number): Instant {
  return fromEpochMinutes(Math.ceil(Date.parse(now) / 60_000 / slotMinutes) * slotMinutes)
}

/** Bays out of use, from now on and as far as anything is planned. */
function closedFrom({ places, horizonDays, closures }: ShopCalendar, origin: Instant): Closed[] {
  const horizon = plusMinutes(origin, horizonDays * 1440)
  return (closures ?? []).flatMap(({ place, from, until }) => {
    const start = laterOf(onMinute(from), origin)
    const end = until < horizon ? onMinute(until) : horizon
    return end > start && places.some(({ id }) => id === place) ? [{ place, from: start, until: end }] : []
  })
}

/** What the final inspection looks at: it is given to whoever did not do it, so that they are not refused at the car. */
const judgedWork = ({ plan, progress }: LiveJob) => ({
  operations: plan.operations.filter(({ kind }) => BLINDS.has(kind)).map(({ id }) => id),
  people: [...blindToIt(plan, progress)],
})

class ProblemBuilder {
  private readonly busy = new Set<string>()
  readonly missed: MissedWindow[] = []

  constructor(
    private readonly shop: ShopCalendar,
    private readonly now: Instant,
    private readonly origin: Instant,
    private readonly options: PlanningOptions,
  ) {}

  job(job: LiveJob, keepPublished: boolean): { problem: ProblemJob; pins: Pin[] } {
    const entries = new Map(
      job.plan.operations.map((operation) => [operation.id, this.entry(job, operation, keepPublished)]),
    )
    const all = [...entries.values()]
    const pins = all.flatMap((entry) => entry.pins)
    const arrive = [onMinute(job.arrive), ...pins.map(({ start }) => start)].reduce((a, b) => (a < b ? a : b))
    return {
      problem: {
        id: job.id,
        ...this.fits(job, pins),
        arrive,
        ...(job.due ? { due: onMinute(job.due) } : {}),
        weight: job.weight,
        operations: all.flatMap(({ operations }) => operations),
        links: this.links(job, entries),
        stays: job.plan.stays.map((stay) => ({
          ...stay,
          kind: kindOf(stay, job.plan),
          operations: stay.operations.flatMap((id) =>
            entries.get(id)!.operations.map((operation) => operation.id),
          ),
        })),
      },
      pins,
    }
  }

  /** The bays its car fits into, if not all of them do; where it stands already it does, whatever was measured. */
  private fits({ size }: LiveJob, pins: readonly Pin[]): Pick<ProblemJob, 'fits'> {
    if (!size || this.shop.places.every((place) => fitsIn(place, size))) return {}
    const isIn = new Set(pins.map(({ place }) => place))
    const fits = this.shop.places.filter((place) => fitsIn(place, size) || isIn.has(place.id))
    return { fits: fits.map(({ id }) => id) }
  }

  /** An operation not yet begun, kept out of damp air where that matters to it. */
  private ahead(job: LiveJob, operation: PlannedOperation): ProblemOperation {
    const planned = job.published.find((placed) => placed.operation === operation.id)
    const allAfter = this.options.coatAfterDamp ?? false
    const limits = { earliest: this.origin, allAfter }
    const dryAir = isCoat(operation) ? dryAirFor(this.shop.damp ?? [], operation, planned, limits) : undefined
    return {
      ...toSchedule(operation),
      ...(dryAir ? { dryAir } : {}),
      ...(operation.kind === 'finish' ? { judges: judgedWork(job) } : {}),
    }
  }

  /** Where an operation lies; nowhere in particular where that bay is not for such work, or not any more: then the car has to move. */
  private placeOf(job: LiveJob, operation: OperationId): { place?: BayId } {
    if (this.options.forgetPlaces) return {}
    const place = job.published.find((placed) => placed.operation === operation)?.place
    const stay = job.plan.stays.find(({ operations }) => operations.includes(operation))
    const bay = this.shop.places.find(({ id }) => id === place)
    return bay && stay && withRoof(bay).kinds.includes(kindOf(stay, job.plan)) ? { place: bay.id } : {}
  }

  private entry(job: LiveJob, operation: PlannedOperation, keepPublished: boolean): Entry {
    const progress = progressAt(job, operation, this.now)
    const pin = (id: OperationId, start: Instant, more: Partial<Pin> = {}): Pin => ({
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
      if (operation.away && progress.dueBack) return this.out(operation, at, progress.dueBack, pin)
      if (operation.mode === 'unattended')
        return { operations: [unattended(operation.id, operation.minutes)], pins: [pin(operation.id, at)] }
      return this.begun(operation, { ...progress, at }, pin)
    }
    const isPinned = !this.options.letPinsGo && job.pinned?.includes(operation.id)
    const planned =
      keepPublished || isPinned
        ? job.published.find((placed) => placed.operation === operation.id)
        : undefined
    const operations = [this.ahead(job, operation)]
    return planned && planned.start >= this.origin
      ? { operations, pins: [pin(operation.id, planned.start, { people: planned.people })] }
      : { operations, pins: [] }
  }

  /** A past that is further back than any stay is of no account to a calendar, and would only make it long. */
  private notTooOld(at: Instant): Instant {
    return laterOf(at, plusMinutes(this.origin, -PAST_MINUTES))
  }

  /** What is away comes back when it was said; what is overdue, at any moment, for all anybody knows. */
  private out(
    { id }: PlannedOperation,
    at: Instant,
    dueBack: Instant,
    pin: (id: OperationId, start: Instant) => Pin,
  ): Entry {
    const back = laterOf(onMinute(dueBack), plusMinutes(this.origin, MIN_REST_MINUTES))
    return { operations: [unattended(id, minutesBetween(onMinute(at), back))], pins: [pin(id, at)] }
  }

  /** Work under way: what has been done is past, what is left goes on at once with the same person. */
  private begun(
    operation: PlannedOperation,
    progress: Extract<Progress, { kind: 'started' }>,
    pin: (id: OperationId, start: Instant, more?: Partial<Pin>) => Pin,
  ): Entry {
    const { timezone, calendars, people } = this.shop
    const person = people.find(({ id }) => id === progress.by)
    const calendar = person && calendars[person.calendar]
    const elapsed = minutesBetween(onMinute(progress.at), this.origin)
    const worked =
      calendar && operation.mode === 'pausable'
        ? openMinutesBetween(calendar, timezone, progress.at, this.origin)
        : elapsed
    // What should be done by the next slot is believed to be; only what is overdue takes longer than was planned.
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
    // Nobody reads anything into this id: what it is the rest of stands in its own field.
    const rest = elapsed > 0 ? toOperationId(`${operation.id} (rest)`) : operation.id
    const part = elapsed > 0 ? { restOf: operation.id } : {}
    const going = { ...toSchedule({ ...operation, minutes: left }), id: rest, ...part }
    const followedBy = (what: ProblemOperation, pins: Pin[]): Entry => ({
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
      : followedBy({ ...unattended(rest, left), ...part }, [pin(rest, this.origin)])
  }

  private links(job: LiveJob, entries: ReadonlyMap<string, Entry>): ProblemJob['links'] {
    const lastId = (id: string) => entries.get(id)!.operations.at(-1)!.id
    const inner = [...entries.values()].flatMap(({ operations }) =>
      operations.length > 1 ? [{ from: operations[0]!.id, to: operations[1]!.id, min: 0 }] : [],
    )
    const outer = job.plan.links.flatMap((link): ProblemJob['links'] => {
      if (this.hasBegun(job, link.to)) return []
      const from = job.plan.operations.find(({ id }) => id === link.from)!
      const progress = progressAt(job, from, this.now)
      const moved = { ...link, from: lastId(link.from) }
      if (progress.kind === 'open' || link.max === undefined) return [moved]
      const ended = progress.kind === 'done' ? progress.to : plusMinutes(progress.at, from.minutes)
      const closed = plusMinutes(ended, link.max)
      if (closed >= this.origin && !this.letsGo(job, link.to, closed)) return [moved]
      // What closes between now and the next slot cannot be kept on the grid, but is not missed: a wait begins by itself.
      if (closed < this.now) this.missed.push({ job: job.id, operation: link.to, after: link.from, closed })
      const { max: _, ...withoutMax } = moved
      return [withoutMax]
    })
    return [...inner, ...outer]
  }

  /** Whether a window that is still open is not insisted on. */
  private letsGo(job: LiveJob, operation: OperationId, closed: Instant): boolean {
    const planned = job.published.find((placed) => placed.operation === operation)
    const isMissed = planned !== undefined && planned.start > closed
    return (this.options.letWindowsGo || (this.options.letMissedWindowsGo && isMissed)) ?? false
  }

  private hasBegun(job: LiveJob, id: OperationId): boolean {
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
  const built = jobs.map((job) =>
    builder.job(job, options.movable !== undefined && !options.movable.has(job.id)),
  )
  const { closures: _, damp: __, ...calendar } = shop
  const problem: Problem = {
    ...calendar,
    places: shop.places.map(withRoof),
    origin,
    jobs: built.map((job) => job.problem),
    fixed: built.flatMap(({ pins }) => pins),
    closed: closedFrom(shop, origin),
  }
  return { problem, missed: builder.missed }
}
