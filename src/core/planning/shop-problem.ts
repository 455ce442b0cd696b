import { BLINDS, blindToIt } from '../handover/inspection'
import type { BayId, JobId, OperationId } from '../ids'
import { type LiveJob, progressAt } from '../job'
import type { PlannedOperation } from '../offer/job-plan'
import { apartIn } from '../offer/side-by-side'
import type { Problem, ProblemJob, ProblemOperation } from '../schedule'
import type { Setup } from '../shop'
import { epochMinutes, fromEpochMinutes, type Instant, laterOf, plusMinutes } from '../time'
import { type BayRoom, fitsIn } from '../vehicle'
import { isClosed, type OutOfUse, outFrom } from './closures'
import { type DampAir, dryAirFor, isCoat } from './damp-air'
import { equipmentFor, standsHeld } from './equipment'
import { toSchedule, unattended } from './file-operations'
import { movedOn, OVER, overIn, staysNow, withOver } from './over'
import type { PlanningOptions } from './planning-options'
import { kindOf, withRoof } from './roof'
import { inTheAir, sharesAir } from './shared-air'
import type { Sharing } from './sharing'
import { spreadIn } from './spreads'
import { type Entry, goneOut, onMinute, type Pin, underWay, waitsForOrders } from './under-way'

export type ShopCalendar = Pick<
  Problem,
  | 'timezone'
  | 'offsiteCost'
  | 'equipment'
  | 'slotMinutes'
  | 'horizonDays'
  | 'objective'
  | 'calendars'
  | 'people'
> &
  OutOfUse & {
    places: (Problem['places'][number] & BayRoom)[]
    /** Whether work at the machine may be shared by two. */
    sharing?: Sharing
    /** How much the minutes of each kind of work vary; nothing varies where it is not said. */
    spreads?: Setup['spreads']
    /** The chance with which promises are to hold. */
    sure?: Setup['sure']
    damp?: readonly DampAir[]
  }

/** A layer whose window has really closed before the next one was begun. */
export type MissedWindow = { job: JobId; operation: OperationId; after: string; closed: Instant }

/** So far back a calendar still looks, minutes: longer than any car has stood here (mem). */
const PAST_MINUTES = 60 * 1440

/** The next start on the shop's grid, counted from the hour. */
export function nextSlot(now: Instant, slotMinutes: number): Instant {
  return fromEpochMinutes(Math.ceil(Date.parse(now) / 60_000 / slotMinutes) * slotMinutes)
}

/** What the final inspection looks at: it is given to whoever did not do it, so that they are not refused at the car. */
const judgedWork = ({ plan, progress }: LiveJob) => ({
  operations: plan.operations.filter(({ kind }) => BLINDS.has(kind)).map(({ id }) => id),
  people: [...blindToIt(plan, progress)],
})

/** What is left of an operation, where part of it is past. */
const lastId = (entries: ReadonlyMap<string, Entry>, id: string) => entries.get(id)!.operations.at(-1)!.id

const stateOf = (job: LiveJob, id: OperationId, now: Instant) => {
  const operation = job.plan.operations.find((each) => each.id === id)
  return operation ? progressAt(job, operation, now).kind : 'open'
}
const progressIsOver = (job: LiveJob, id: OperationId, now: Instant) => stateOf(job, id, now) === 'done'

/** Work at the machine that two can share, panel by panel. */
const SHARED: readonly PlannedOperation['kind'][] = ['cut', 'refine', 'polish']

class ProblemBuilder {
  readonly busy = new Set<string>()
  readonly missed: MissedWindow[] = []
  private readonly counted: ReadonlySet<string>
  /** Whether bays share their air. */
  private readonly airs: boolean

  constructor(
    readonly shop: ShopCalendar,
    readonly now: Instant,
    readonly origin: Instant,
    private readonly options: PlanningOptions,
  ) {
    this.counted = new Set(shop.equipment?.map(({ id }) => id))
    this.airs = sharesAir(shop.places)
  }

  /** An operation as the scheduler takes it, with what it needs of the shop’s equipment and who may share it. */
  readonly toSchedule = (operation: PlannedOperation): ProblemOperation => ({
    ...toSchedule(operation),
    ...spreadIn(this.shop, operation),
    ...(this.shop.sharing === 'two' && SHARED.includes(operation.kind) ? { split: 2 } : {}),
    ...equipmentFor(operation, this.counted),
    ...inTheAir(operation, this.airs),
  })

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
        ...this.apart(job, entries),
        ...this.hold(job, entries),
        ...waitsForOrders(job, this.origin),
        links: this.links(job, entries),
        stays: this.stays(job).map((stay) => ({
          ...stay,
          kind: this.isOver(job, stay) ? OVER : kindOf(stay, job.plan),
          operations: stay.operations.flatMap((id) =>
            entries.get(id)!.operations.map((operation) => operation.id),
          ),
        })),
      },
      pins,
    }
  }

  /** What of it must not go on at one time, as far as it is still to come. */
  private apart(job: LiveJob, entries: ReadonlyMap<string, Entry>): Pick<ProblemJob, 'apart'> {
    const pairs = apartIn(job.plan)
      .filter((pair) => !pair.some((id) => progressIsOver(job, id, this.now)))
      .map(([one, other]): [OperationId, OperationId] => [lastId(entries, one), lastId(entries, other)])
    return pairs.length > 0 ? { apart: pairs } : {}
  }

  private hold(job: LiveJob, entries: ReadonlyMap<string, Entry>): Pick<ProblemJob, 'hold'> {
    const held = standsHeld(job.plan, this.counted)
      .filter(({ to }) => !progressIsOver(job, to, this.now))
      .map((each) => ({ ...each, to: lastId(entries, each.to) }))
    return held.length > 0 ? { hold: held } : {}
  }

  /** The bays its car fits into, if not all of them do; where it stands already it does, whatever was measured. */
  private fits({ size }: LiveJob, pins: readonly Pin[]): Pick<ProblemJob, 'fits'> {
    if (!size || this.shop.places.every((place) => fitsIn(place, size))) return {}
    const isIn = new Set(pins.map(({ place }) => place))
    const fits = this.shop.places.filter((place) => fitsIn(place, size) || isIn.has(place.id))
    return { fits: fits.flatMap(({ id }) => [id, overIn(id)]) }
  }

  /** An operation not yet begun, kept out of damp air where that matters to it. */
  private ahead(job: LiveJob, operation: PlannedOperation): ProblemOperation {
    const planned = job.published.find((placed) => placed.operation === operation.id)
    const allAfter = this.options.coatAfterDamp ?? false
    const limits = { earliest: this.origin, allAfter }
    const dryAir = isCoat(operation) ? dryAirFor(this.shop.damp ?? [], operation, planned, limits) : undefined
    return {
      ...this.toSchedule(operation),
      ...(dryAir ? { dryAir } : {}),
      ...(operation.kind === 'finish' ? { judges: judgedWork(job) } : {}),
    }
  }

  private stays(job: LiveJob) {
    const state = (id: OperationId) => stateOf(job, id, this.now)
    return staysNow(job, state).flatMap((stay) =>
      movedOn(
        stay,
        (id) => state(id) !== 'open',
        (id) => this.bayOf(job, id)?.id,
        (part, id) => {
          const bay = this.shop.places.find((place) => place.id === id)
          if (this.options.movesOut?.has(job.id) && isClosed(this.shop, id)) return false
          return bay !== undefined && withRoof(bay).kinds.includes(kindOf(part, job.plan))
        },
      ),
    )
  }

  private bayOf(job: LiveJob, operation: OperationId) {
    const place = job.published.find((placed) => placed.operation === operation)?.place
    return this.shop.places.find(({ id }) => id === place)
  }

  /** A stay of which all is done: the car has left that bay. */
  private isOver(job: LiveJob, { operations }: LiveJob['plan']['stays'][number]): boolean {
    return operations.every((id) => progressIsOver(job, id, this.now))
  }

  /** Where an operation lies; nowhere in particular where that bay is not for such work, or not any more: then the car has to move. */
  private placeOf(job: LiveJob, operation: OperationId): { place?: BayId } {
    if (this.options.forgetPlaces) return {}
    const bay = this.bayOf(job, operation)
    const stay = this.stays(job).find(({ operations }) => operations.includes(operation))
    if (bay && stay && this.isOver(job, stay)) return { place: overIn(bay.id) }
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
      const { dueBack } = progress
      if (operation.away && dueBack) return goneOut(operation, { at, dueBack }, this.origin, pin)
      if (operation.mode === 'unattended')
        return { operations: [unattended(operation.id, operation.minutes)], pins: [pin(operation.id, at)] }
      const team = job.published.find((placed) => placed.operation === operation.id)?.people ?? []
      return underWay(operation, { ...progress, at }, team, this, pin)
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

  private links(job: LiveJob, entries: ReadonlyMap<string, Entry>): ProblemJob['links'] {
    const inner = [...entries.values()].flatMap(({ operations }) =>
      operations.length > 1 ? [{ from: operations[0]!.id, to: operations[1]!.id, min: 0 }] : [],
    )
    const outer = job.plan.links.flatMap((link): ProblemJob['links'] => {
      if (this.hasBegun(job, link.to)) return []
      const from = job.plan.operations.find(({ id }) => id === link.from)!
      const progress = progressAt(job, from, this.now)
      const moved = { ...link, from: lastId(entries, link.from) }
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
  const { closures: _, damp: __, sharing: ___, ...calendar } = shop
  const problem: Problem = {
    ...calendar,
    places: withOver(shop.places.map(withRoof), OVER),
    calendars: { ...calendar.calendars, [OVER]: { always: true } },
    origin,
    jobs: built.map((job) => job.problem),
    fixed: built.flatMap(({ pins }) => pins),
    ...outFrom(shop, origin),
  }
  return { problem, missed: builder.missed }
}
