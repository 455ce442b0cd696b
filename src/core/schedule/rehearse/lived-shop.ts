import type { JobId, OperationId } from '../../ids'
import { earlierOf, epochMinutes, fromEpochMinutes, type Instant, laterOf, minutesBetween } from '../../time'
import { closedBetween } from '../contract/closure'
import type { Problem, ProblemJob, ProblemOperation } from '../contract/problem'
import type { PlacedOperation } from '../contract/schedule-file'
import { compileModel } from '../solver/model'
import { readPlacements, writeOperations } from '../solver/placements'
import { draftFrom } from '../solver/search'
import { type Step, stepsInOrder } from './order'
import { type Played, playOut, type Rules } from './play'
import { isKept, windowsOf } from './rehearse'

/**
 * A shop that lives through a stretch of time with the luck of one run, and re-plans each morning what no longer stands: whatever has begun
 * is as it really went, what runs over pushes what follows, and on the next day all that was pushed is placed again.
 */

/** What an operation takes of its minutes in this run; 1 is as planned. */
export type LuckOf = (job: JobId, operation: OperationId) => number

/** A job under way: what was to be done, what really has begun, and when the rest is planned. */
type OpenJob = {
  job: ProblemJob
  real: Map<OperationId, PlacedOperation>
  planned: Map<OperationId, PlacedOperation>
  /** A window of it can no longer be kept, so none that begins with what is over is insisted on. */
  letsWindowsGo: boolean
}

/** A job as it really went, once it is over. */
export type LivedJob = { job: ProblemJob; operations: PlacedOperation[] }

/** So long after its morning a day’s plan looks, beyond what the problem does itself, days: what runs late still finds room. */
const BEYOND_DAYS = 28
/** Calendars are looked into so far ahead at least, days. */
const AHEAD_DAYS = 42

const asReal = ({ start, end }: PlacedOperation, operation: ProblemOperation): ProblemOperation => ({
  id: operation.id,
  minutes: Math.max(1, minutesBetween(start, end)),
  mode: 'unattended',
  people: 0,
  ...(operation.equipment ? { equipment: operation.equipment } : {}),
  ...(operation.air ? { air: operation.air } : {}),
})

export class LivedShop {
  private now: Instant
  private readonly open = new Map<JobId, OpenJob>()
  private readonly over: LivedJob[] = []
  /** Nothing has begun or ended later than planned since that was last asked. */
  private isAsPlanned = true
  /** The plan as it is really going, until it is changed. */
  private going: { steps: readonly Step[]; played: readonly Played[]; originMinute: number } | undefined

  constructor(
    /** The shop, with what is fixed of jobs it will take; its jobs are of no account here. */
    private readonly shop: Problem,
    private readonly luck: LuckOf,
    private readonly rules: Rules,
  ) {
    this.now = shop.origin
  }

  /** Whether nothing is under way or to come. */
  get isIdle(): boolean {
    return this.open.size === 0
  }

  /** One more job, with its place on the calendar. What is fixed of it and has begun is as it is written. */
  take(job: ProblemJob, operations: readonly PlacedOperation[]): void {
    const planned = new Map(operations.map((placed) => [placed.operation, placed]))
    const begun = this.shop.fixed.filter((pin) => pin.job === job.id && pin.start < this.now)
    const real = new Map(begun.map(({ operation }) => [operation, planned.get(operation)!]))
    this.open.set(job.id, { job, real, planned, letsWindowsGo: false })
    this.going = undefined
  }

  /** Jobs that are done, as they went. */
  lived(): readonly LivedJob[] {
    return this.over
  }

  /** The problem as it stands: what has begun is fixed as it really went. */
  problem(): Problem {
    const jobs = [...this.open.values()]
    const { shop, now } = this
    const { calendars, people } = this.shiftsFrom(jobs)
    return {
      ...shop,
      origin: now,
      horizonDays: Math.max(shop.horizonDays, AHEAD_DAYS) + BEYOND_DAYS,
      calendars,
      people,
      jobs: jobs.map((each) => this.rest(each)),
      fixed: jobs.flatMap(({ job, real }) => [
        ...[...real.values()].map(({ operation, start, place }) => ({
          job: job.id,
          operation,
          start,
          place,
          people: [],
        })),
        ...shop.fixed.filter((pin) => pin.job === job.id && pin.start >= now && !real.has(pin.operation)),
      ]),
    }
  }

  /** The calendar as it stands, with what has begun. */
  placed(): PlacedOperation[] {
    return [...this.open.values()].flatMap(({ job, real, planned }) =>
      job.operations.map(({ id }) => real.get(id) ?? planned.get(id)!),
    )
  }

  /** Goes on to a moment as luck has it; nothing is re-planned. */
  goOn(to: Instant): void {
    const { steps, played, originMinute } = this.asItGoes()
    const at = (minute: number) => fromEpochMinutes(originMinute + Math.ceil(minute))
    for (const [index, { job: of, operation }] of steps.entries()) {
      const { from, to: until } = played[index]!
      const start = at(from)
      const { real, planned } = this.open.get(of.id)!
      if (real.has(operation.id)) continue
      const was = planned.get(operation.id)!
      if (start >= to) {
        if (was.start < to) this.isAsPlanned = false
        continue
      }
      if (start > was.start || at(until) > was.end) this.isAsPlanned = false
      real.set(operation.id, { ...was, start, end: at(until), segments: [[start, at(until)]] })
    }
    this.now = to
    for (const [id, { job, real }] of this.open) {
      const isOver = job.operations.every((operation) => (real.get(operation.id)?.end ?? to) < to)
      if (!isOver) continue
      this.over.push({ job, operations: job.operations.map((operation) => real.get(operation.id)!) })
      this.open.delete(id)
      this.going = undefined
    }
  }

  /** Places anew what can no longer be done when it is planned; all else stays as it is. */
  planAnew(): void {
    if (this.isAsPlanned) return
    this.isAsPlanned = true
    for (let pushed = this.pushed(); pushed.size > 0; ) {
      const model = compileModel(this.problem())
      const stays = this.placed().filter(({ job }) => !pushed.has(job))
      const draft = draftFrom(model, stays)
      this.going = undefined
      for (const placed of draft.placed) {
        const job = placed && model.jobs[placed.placement.job]!
        if (!job || !pushed.has(job.id)) continue
        const { real, planned } = this.open.get(job.id)!
        for (const each of writeOperations(model, placed.placement))
          if (!real.has(each.operation)) planned.set(each.operation, each)
      }
      const roomless = [...draft.failures.keys()].map((index) => this.open.get(model.jobs[index]!.id)!)
      if (roomless.length === 0) return
      const strict = roomless.filter(({ letsWindowsGo }) => !letsWindowsGo)
      for (const each of strict) each.letsWindowsGo = true
      // Without its windows nothing else need move; where that does not help, all the rest makes room.
      const all = [...this.open.keys()]
      if (strict.length === 0 && pushed.size === all.length) return
      pushed = new Set(strict.length > 0 ? [...pushed, ...strict.map(({ job }) => job.id)] : all)
    }
  }

  private asItGoes() {
    this.going ??= this.played((job, operation) => this.luck(job, operation))
    return this.going
  }

  private played(luck: LuckOf) {
    const model = compileModel(this.problem())
    const { originMinute } = model
    const steps = stepsInOrder(model, readPlacements(model, this.inOrder())).map((step) => {
      const real = this.open.get(step.job.id)!.real.get(step.operation.id)
      const planned = real
        ? { from: epochMinutes(real.start) - originMinute, to: epochMinutes(real.end) - originMinute }
        : // What has not begun by now does not begin before now, whenever it was planned to.
          { ...step.planned, from: Math.max(0, step.planned.from) }
      return { ...step, planned, factor: real ? 1 : luck(step.job.id, step.operation.id) }
    })
    const factors = steps.map(({ factor }) => factor)
    return { steps, played: playOut(steps, factors, this.rules), originMinute }
  }

  /**
   * The calendar by which it is known what waits for what: of what has begun, until when it was planned to last. By when it really lasts, what it
   * runs into would lie on top of it.
   */
  private inOrder(): PlacedOperation[] {
    return this.placed().map((placed) => {
      const { real, planned } = this.open.get(placed.job)!
      if (!real.has(placed.operation)) return placed
      const was = planned.get(placed.operation)!
      return { ...placed, start: earlierOf(placed.start, was.start), end: earlierOf(placed.end, was.end) }
    })
  }

  /** Jobs of which something would be done later than planned, or beyond its window, if all the rest took what it is planned to. */
  private pushed(): ReadonlySet<JobId> {
    const { steps, played, originMinute } = this.played(() => 1)
    const late = steps.flatMap(({ job, operation }, at) => {
      const { real, planned } = this.open.get(job.id)!
      const from = fromEpochMinutes(originMinute + Math.floor(played[at]!.from))
      return !real.has(operation.id) && from > planned.get(operation.id)!.start ? [job.id] : []
    })
    const missed = windowsOf(steps).flatMap((window) => (isKept(window, played) ? [] : [window.job]))
    return new Set([...late, ...missed])
  }

  /** A job as far as it is still to be done. */
  private rest({ job, real, letsWindowsGo }: OpenJob): ProblemJob {
    const isOver = (id: OperationId) => real.has(id)
    const { apart = [], notDuring = [] } = job
    return {
      ...job,
      arrive: [job.arrive, ...[...real.values()].map(({ start }) => start)].reduce((a, b) => (a < b ? a : b)),
      operations: job.operations.map((operation) => {
        const begun = real.get(operation.id)
        return begun ? asReal(begun, operation) : operation
      }),
      links: job.links.flatMap((link) => {
        if (isOver(link.to)) return []
        const before = real.get(link.from)
        if (!before || link.max === undefined) return [link]
        const closes = fromEpochMinutes(epochMinutes(before.end) + link.max)
        if (closes >= this.now && !letsWindowsGo) return [link]
        const { max: _, ...withoutMax } = link
        return [withoutMax]
      }),
      apart: apart.filter((pair) => !pair.some(isOver)),
      notDuring: notDuring.filter(({ operation }) => !isOver(operation)),
    }
  }

  /** Whoever is still at something has no time for anything else until it is done. */
  private shiftsFrom(jobs: readonly OpenJob[]): Pick<Problem, 'calendars' | 'people'> {
    const busy = new Map<string, Instant>()
    for (const { real } of jobs)
      for (const { people, end } of real.values())
        if (end > this.now)
          for (const person of people) busy.set(person, laterOf(busy.get(person) ?? end, end))
    if (busy.size === 0) return this.shop
    const calendars = { ...this.shop.calendars }
    const people = this.shop.people.map((person) => {
      const until = busy.get(person.id)
      if (until === undefined) return person
      const calendar = `${person.calendar} as ${person.id}`
      calendars[calendar] = closedBetween(calendars[person.calendar]!, this.shop.timezone, this.now, until)
      return { ...person, calendar }
    })
    return { calendars, people }
  }
}
