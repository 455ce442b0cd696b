import type { BayId, JobId, OperationId, PersonId } from '../../ids'
import { epochMinutes, fromEpochMinutes, type Instant } from '../../time'
import { planChanges } from '../contract/changes'
import { type Interval, mergeIntervals } from '../contract/intervals'
import type { Problem } from '../contract/problem'
import type { PlacedOperation, Schedule } from '../contract/schedule-file'
import { jobTerms } from '../solver/cost'
import { compileModel, type Model, type ModelJob, type ModelOperation } from '../solver/model'
import { type Narrowing, narrowed } from '../solver/place-groups'
import { readPlacements, scheduleOf, writeOperations } from '../solver/placements'
import type { JobPlacement } from '../solver/shop-state'
import type { OperationMove, Rearranged, StayMove, Tried } from './moves'
import { refusalAt, refusalByPlace, startLimits, type Wish } from './refusal'
import {
  type Attempt,
  cheapest,
  endOf,
  firstOf,
  followersOf,
  type Placed,
  placeChoices,
  StandingCalendar,
} from './standing-calendar'

/**
 * One move at a time on a calendar that stands. What comes before the moved operation stays where it is, what follows
 * moves no more than it must, and other cars only where they are in the way. What has begun or is fixed never moves.
 */

/** Starts tried whole when the nearest allowed one is looked for; those a rule forbids by itself do not count. */
const NEAREST_TRIES = 12
/** How far from the wished start the nearest is looked for. */
const NEAREST_DAYS = 14

export class MoveDesk {
  private readonly model: Model
  private readonly calendar: StandingCalendar

  /** `placed` is the calendar that stands. Jobs that are not wholly on it are left out. The problem is taken to be checked. */
  constructor(
    private readonly problem: Problem,
    private readonly placed: readonly PlacedOperation[],
  ) {
    this.model = compileModel(problem)
    this.calendar = new StandingCalendar(this.model, placed)
  }

  /** The calendar after a rearrangement, to be checked and taken. */
  scheduleWith({ operations }: Pick<Rearranged, 'operations'>): Schedule {
    const changed = readPlacements(this.model, operations)
    return scheduleOf(
      this.model,
      this.calendar.placements.flatMap((standing, index) => changed[index] ?? standing ?? []),
    )
  }

  /**
   * What comes of beginning one operation at a moment. `hurried` looks for no other start beside it: enough while it is
   * still being dragged. Throws for what is not on the calendar.
   */
  tryOperation(move: OperationMove, hurried = false): Tried {
    const { job, placement } = this.find(move.job)
    const operation = job.operations.find(({ id }) => id === move.operation)
    if (!operation) throw new Error(`“${move.job}” has no operation “${move.operation}”`)
    const wish = this.wishOf(operation.people > 0 ? move : { ...move, person: undefined })
    const start = this.onGrid(operation, this.minuteOf(move.start))
    const there = this.moved(job, operation, placement, start, wish)
    if (!there.ok) {
      const nearest = hurried ? undefined : this.nearest(job, operation, placement, start, wish, false)
      return {
        kind: 'refused',
        refusal: there.refusal,
        ...(nearest ? { nearest: this.describe(operation, nearest) } : {}),
      }
    }
    const wished = this.describe(operation, there.placed)
    if (hurried || there.placed.others.length === 0) return { kind: 'allowed', ways: [wished] }
    const calm = this.nearest(job, operation, placement, start, wish, true)
    return { kind: 'allowed', ways: calm ? [wished, this.describe(operation, calm)] : [wished] }
  }

  /**
   * What comes of beginning what is left of a stay at a moment or as soon after it as may be: where there is room, and
   * before others. What comes before it is drawn along only as far as its windows ask.
   */
  tryStay(move: StayMove): Tried {
    const { job, placement } = this.find(move.job)
    const index = job.stays.findIndex(({ id }) => id === move.stay)
    if (index < 0) throw new Error(`“${move.job}” has no stay “${move.stay}”`)
    const first = job.operations.find((operation) => operation.stay === index && !operation.pin)
    if (!first) return { kind: 'refused', refusal: { code: 'begun' } }
    const wish = this.wishOf(move)
    const refusal = refusalByPlace(this.model, job, first, placement, wish)
    if (refusal) return { kind: 'refused', refusal }
    const from = this.minuteOf(move.from)
    const later = from > placement.operations[first.index]!.start
    const behind = followersOf(job, first.index)
    const bind = ({ index: at, stay: own }: ModelOperation): Narrowing => {
      if (own === index || behind.has(at)) return { notBefore: from }
      return later ? { notBefore: placement.operations[at]!.start } : {}
    }
    const choices = placeChoices(placement, index, wish).map((placesOf) =>
      narrowed(this.model, job, bind, placesOf),
    )
    const beside = this.calendar.beside(job, placement, choices, cheapest(this.model))
    const before = this.calendar.pushing(job, choices, cheapest(this.model))
    const ways = beside.ok ? [beside.placed] : []
    const sooner = before.ok && !(beside.ok && endOf(beside.placed.own) <= endOf(before.placed.own))
    if (before.ok && sooner) ways.push(before.placed)
    const [wished, ...more] = ways.map((placed) => this.describe(first, placed))
    if (wished) return { kind: 'allowed', ways: [wished, ...more] }
    return { kind: 'refused', refusal: (beside as Extract<Attempt, { ok: false }>).refusal }
  }

  /** The stretches in which an operation may begin without a rule by itself forbidding it; whole slots, to be shown. */
  landings(jobId: JobId, operationId: OperationId, until: Instant): { from: Instant; to: Instant }[] {
    const { job, placement } = this.find(jobId)
    const operation = job.operations.find(({ id }) => id === operationId)
    if (!operation || operation.pin) return []
    const { slot } = this.model
    const limits = startLimits(job, operation, placement)
    const last = Math.min(limits.to, this.minuteOf(until))
    const open: Interval[] = []
    for (let at = this.onGrid(operation, limits.from, 'after'); at <= last; at += slot)
      if (!refusalAt(this.model, this.calendar.firm, job, operation, placement, at, {}))
        open.push({ from: at, to: at + slot })
    return mergeIntervals(open).map(({ from, to }) => ({ from: this.at(from), to: this.at(to) }))
  }

  private at(minute: number): Instant {
    return fromEpochMinutes(this.model.originMinute + minute)
  }

  private minuteOf(moment: Instant): number {
    return epochMinutes(moment) - this.model.originMinute
  }

  private onGrid({ mode }: ModelOperation, minute: number, which: 'nearest' | 'after' = 'nearest'): number {
    if (mode === 'unattended') return minute
    const { slot } = this.model
    return (which === 'after' ? Math.ceil(minute / slot) : Math.round(minute / slot)) * slot
  }

  private find(id: string): { job: ModelJob; placement: JobPlacement } {
    const job = this.model.jobs.find((each) => each.id === id)
    const placement = job && this.calendar.placements[job.index]
    if (!placement) throw new Error(`“${id}” is not on this calendar`)
    return { job, placement }
  }

  private wishOf({ place, person }: { place?: BayId; person?: PersonId | undefined }): Wish {
    const indexOf = (ids: readonly string[], id: string) => {
      const index = ids.indexOf(id)
      if (index < 0) throw new Error(`“${id}” is not in this shop`)
      return index
    }
    return {
      ...(place === undefined ? {} : { place: indexOf(this.model.placeIds, place) }),
      ...(person === undefined ? {} : { person: indexOf(this.model.personIds, person) }),
    }
  }

  /** One operation at this very minute: beside all others if that can be, else with those in the way making room. */
  private moved(
    job: ModelJob,
    operation: ModelOperation,
    placement: JobPlacement,
    start: number,
    wish: Wish,
    calm = false,
  ): Attempt {
    const refusal = refusalAt(this.model, this.calendar.firm, job, operation, placement, start, wish)
    if (refusal) return { ok: false, refusal }
    const choices = this.bindings(job, operation, placement, start, wish)
    const beside = this.calendar.beside(job, placement, choices, firstOf)
    if (beside.ok || calm) return beside
    return this.calendar.pushing(job, choices, firstOf)
  }

  /** The start nearest to this one that is allowed; `calm`: without moving any other car. */
  private nearest(
    job: ModelJob,
    operation: ModelOperation,
    placement: JobPlacement,
    wished: number,
    wish: Wish,
    calm: boolean,
  ): Placed | undefined {
    if (operation.pin) return undefined
    const { slot } = this.model
    const limits = startLimits(job, operation, placement)
    const start = this.onGrid(operation, Math.max(limits.from, Math.min(limits.to, wished)))
    const steps = (NEAREST_DAYS * 1440) / slot
    let tries = 0
    for (let away = 0; away <= steps && tries < NEAREST_TRIES; away++)
      for (const at of away === 0 ? [start] : [start - away * slot, start + away * slot]) {
        if (at < limits.from || at > limits.to) continue
        if (refusalAt(this.model, this.calendar.firm, job, operation, placement, at, wish)) continue
        const attempt = this.moved(job, operation, placement, at, wish, calm)
        if (attempt.ok) return attempt.placed
        tries++
      }
    return undefined
  }

  /** The ways to place a job with one operation at a minute, those first that leave more as it is. */
  private bindings(
    job: ModelJob,
    operation: ModelOperation,
    placement: JobPlacement,
    start: number,
    wish: Wish,
  ): ModelJob[] {
    const followers = followersOf(job, operation.index)
    const now = ({ index }: ModelOperation) => placement.operations[index]!
    const staying = (each: ModelOperation): Narrowing => ({
      pin: { start: now(each).start, people: [...now(each).people] },
    })
    const rests: ((each: ModelOperation) => Narrowing)[] = [
      staying,
      (each) => ({ notBefore: now(each).start, crew: now(each).people }),
      (each) => ({ notBefore: now(each).start }),
      () => ({}),
    ]
    const teams: (number[] | undefined)[] =
      wish.person === undefined
        ? [[...now(operation).people], undefined]
        : operation.people === 1
          ? [[wish.person]]
          : this.model
              .crewsFor(operation, wish.place ?? now(operation).place)
              .flatMap(({ people }) => (people.includes(wish.person!) ? [[...people]] : []))
    const places = placeChoices(placement, operation.stay, wish)
    return rests.flatMap((rest) =>
      places.flatMap((placesOf) =>
        teams.map((people) => {
          const bind = (each: ModelOperation): Narrowing => {
            if (each.index === operation.index) return { pin: { start, ...(people ? { people } : {}) } }
            return followers.has(each.index) ? rest(each) : staying(each)
          }
          return narrowed(this.model, job, bind, placesOf)
        }),
      ),
    )
  }

  private describe({ index }: ModelOperation, { own, others }: Placed): Rearranged {
    const { model } = this
    const { placements } = this.calendar
    const changed = [own, ...others]
    const operations = changed.flatMap((placement) => writeOperations(model, placement))
    const jobs = new Set(operations.map(({ job }) => job))
    const before = this.placed.filter(({ job }) => jobs.has(job))
    const due = Object.fromEntries(
      this.problem.jobs.flatMap(({ id, due: promised }) => (promised ? [[id, promised]] : [])),
    )
    const changes = planChanges(before, operations, due)
    const differ = (term: 'tardiness' | 'hold') =>
      changed.reduce((sum, placement) => {
        const job = model.jobs[placement.job]!
        return sum + jobTerms(job, placement)[term] - jobTerms(job, placements[job.index]!)[term]
      }, 0)
    const moved = new Set(changes.map(({ job }) => job))
    return {
      start: this.at(own.operations[index]!.start),
      operations: operations.filter(({ job }) => moved.has(job)),
      changes,
      pushed: others.map((placement) => model.jobs[placement.job]!.id).filter((id) => moved.has(id)),
      lateMinutes: differ('tardiness'),
      bayMinutes: differ('hold'),
    }
  }
}
