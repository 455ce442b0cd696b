import type { BayId, JobId, OperationId } from '../../ids'
import { checkBeside } from './check-beside'
import { fault } from './faults'
import type { Problem } from './problem'
import type { PlacedOperation, Schedule } from './schedule-file'
import { QUARTER, WallClock } from './wall-clock'

/**
 * The independent checker. It shares nothing with the solver but the file types: it reads local time through Intl
 * minute by minute where the solver computes with intervals, so that an error in one is not an error in both.
 */

export type BrokenRule = { rule: string; job?: string; operation?: OperationId; message: string }

type Job = Problem['jobs'][number]

/** Ten years: longer than any horizon, and no schedule. */
const LONGEST_MINUTES = 3660 * 1440

const minute = (text: string) => Date.parse(text) / 60_000

/** Which minutes of a stretch are open in a calendar, from what a clock on the wall shows at each of them. */
class OpenMinutes {
  private readonly known = new Map<string, Uint8Array>()
  private readonly clock: WallClock

  constructor(
    private readonly problem: Problem,
    private readonly from: number,
    private readonly to: number,
  ) {
    this.clock = WallClock.in(problem.timezone)
  }

  /** Whether all of these calendars are open in a minute. */
  together(calendars: readonly string[]): (at: number) => boolean {
    const all = calendars.map((calendar) => this.of(calendar))
    return (at) => all.every((open) => open[at - this.from] === 1)
  }

  private of(name: string): Uint8Array {
    const cached = this.known.get(name)
    if (cached) return cached
    const calendar = this.problem.calendars[name]!
    const open = new Uint8Array(this.to - this.from)
    if ('always' in calendar) open.fill(1)
    else {
      const days = new Map<number, Uint8Array>()
      for (let at = this.from; at < this.to; ) {
        const quarter = Math.floor(at / QUARTER)
        const local = at + this.clock.offset(quarter)
        const number = Math.floor(local / 1440)
        const date = () => new Date(number * 86_400_000).toISOString().slice(0, 10)
        const day = days.get(number) ?? this.dayOf(calendar, date())
        days.set(number, day)
        // A day begins on a quarter hour, so the minutes up to the next one are of the same day.
        const next = Math.min(this.to, (quarter + 1) * QUARTER)
        const first = local - number * 1440
        open.set(day.subarray(first, first + next - at), at - this.from)
        at = next
      }
    }
    this.known.set(name, open)
    return open
  }

  private dayOf(calendar: Exclude<Problem['calendars'][string], { always: true }>, date: string): Uint8Array {
    const name = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'][new Date(date).getUTCDay()]!
    const replaced = calendar.exceptions?.filter((exception) => exception.date === date).pop()
    const hours = replaced ? replaced.open : (calendar.weekly[name] ?? [])
    const day = new Uint8Array(1440)
    const clock = (text: string) => Number(text.slice(0, 2)) * 60 + Number(text.slice(3))
    for (const [opens, closes] of hours) day.fill(1, clock(opens), clock(closes))
    return day
  }
}

class Checker {
  readonly broken: BrokenRule[] = []
  private readonly placed = new Map<string, PlacedOperation>()
  private readonly open: OpenMinutes

  constructor(
    private readonly problem: Problem,
    private readonly schedule: Schedule,
  ) {
    // Only the stretch that is used is looked at; what lies beyond the horizon is a fault of its own.
    const origin = minute(problem.origin)
    const horizon = origin + problem.horizonDays * 1440
    const starts = schedule.operations
      .map(({ start }) => minute(start))
      .filter((at) => at > origin - LONGEST_MINUTES)
    const ends = schedule.operations.map(({ end }) => minute(end)).filter((at) => at <= horizon)
    this.open = new OpenMinutes(
      problem,
      Math.floor(Math.min(origin, ...starts)),
      Math.ceil(Math.max(origin, ...ends)) + 1,
    )
  }

  run(): BrokenRule[] {
    if (this.schedule.status === 'infeasible') {
      if (this.schedule.reasons.length === 0) this.fail('reason', fault('no-reason'))
      return this.broken
    }
    this.collect()
    for (const job of this.problem.jobs) if (this.isComplete(job)) this.checkJob(job)
    this.checkPeople()
    this.checkPlaces()
    checkBeside(
      this.problem,
      (job, operation) => this.placed.get(`${job}\n${operation}`),
      (...said) => this.fail(...said),
    )
    this.checkCost()
    return this.broken
  }

  private fail(rule: string, message: string, job?: string, operation?: OperationId): void {
    this.broken.push({ rule, message, ...(job ? { job } : {}), ...(operation ? { operation } : {}) })
  }

  private at(job: JobId, operation: OperationId): PlacedOperation {
    return this.placed.get(`${job}\n${operation}`)!
  }

  private collect(): void {
    for (const placed of this.schedule.operations) {
      const { job, operation, start, end } = placed
      const key = `${job}\n${operation}`
      const known = this.problem.jobs
        .find(({ id }) => id === job)
        ?.operations.some(({ id }) => id === operation)
      if (!known) this.fail('unknown-operation', fault('no-such-operation'), job, operation)
      else if (this.placed.has(key)) this.fail('placed-twice', fault('placed-twice'), job, operation)
      else if (!Number.isInteger(minute(start)) || !Number.isInteger(minute(end)))
        this.fail('whole-minutes', fault('not-whole-minutes'), job, operation)
      else this.placed.set(key, placed)
    }
  }

  private isComplete(job: Job): boolean {
    const missing = job.operations.filter(({ id }) => !this.placed.has(`${job.id}\n${id}`))
    for (const { id } of missing) this.fail('not-placed', fault('not-placed'), job.id, id)
    return missing.length === 0
  }

  private checkJob(job: Job): void {
    for (const operation of job.operations) this.checkOperation(job, operation)
    for (const link of job.links) {
      const gap = minute(this.at(job.id, link.to).start) - minute(this.at(job.id, link.from).end)
      if (gap < link.min)
        this.fail('link-min', fault('too-soon', { gap, after: link.from, least: link.min }), job.id, link.to)
      if (link.max !== undefined && gap > link.max)
        this.fail('link-max', fault('too-late', { gap, after: link.from, most: link.max }), job.id, link.to)
    }
    for (const stay of job.stays) {
      const places = new Set(stay.operations.map((id) => this.at(job.id, id).place))
      if (places.size > 1) this.fail('stay-moved', fault('several-places', { stay: stay.id }), job.id)
      for (const id of places) {
        const place = this.problem.places.find((candidate) => candidate.id === id)
        if (!place) this.fail('unknown-place', fault('no-place', { id }), job.id)
        else if (!place.kinds.includes(stay.kind))
          this.fail('place-kind', fault('other-kind', { id, kind: stay.kind }), job.id)
        else if (job.fits && !job.fits.includes(place.id))
          this.fail('place-size', fault('does-not-fit', { id }), job.id)
      }
    }
  }

  private checkOperation(job: Job, operation: Job['operations'][number]): void {
    const placed = this.at(job.id, operation.id)
    const start = minute(placed.start)
    const end = minute(placed.end)
    const pin = this.problem.fixed.find((each) => each.job === job.id && each.operation === operation.id)
    const fail = (rule: string, message: string) => this.fail(rule, message, job.id, operation.id)
    const origin = minute(this.problem.origin)
    if (start < minute(job.arrive)) fail('arrive', fault('before-arrival'))
    if (end > origin + this.problem.horizonDays * 1440) fail('horizon', fault('after-horizon'))
    if (!pin && start < origin) fail('origin', fault('before-origin'))
    if (!pin && operation.mode !== 'unattended' && (start - origin) % this.problem.slotMinutes !== 0)
      fail('grid', fault('off-grid', { minutes: this.problem.slotMinutes }))
    if (pin) this.checkPin(pin, placed, fail)
    const { dryAir } = operation
    if (dryAir?.from && start < minute(dryAir.from)) fail('damp-air', fault('air-damp-before'))
    if (dryAir?.by && start > minute(dryAir.by)) fail('damp-air', fault('air-damp-after'))
    if (operation.mode === 'unattended') {
      if (placed.people.length > 0) fail('people', fault('unattended-with-people'))
      if (end - start !== operation.minutes)
        fail('length', fault('lasts', { minutes: end - start, instead: operation.minutes }))
      this.checkSegments(placed, [[start, end]], fail)
      return
    }
    this.checkTeam(operation, placed, fail)
    this.checkWork(operation, placed, fail)
  }

  private checkPin(
    pin: Problem['fixed'][number],
    placed: PlacedOperation,
    fail: (rule: string, message: string) => void,
  ): void {
    if (minute(pin.start) !== minute(placed.start)) fail('fixed', fault('not-at-fixed-start'))
    if (pin.place !== undefined && pin.place !== placed.place) fail('fixed', fault('not-in-fixed-place'))
    if (pin.people && [...pin.people].sort().join('\n') !== [...placed.people].sort().join('\n'))
      fail('fixed', fault('not-with-fixed-people'))
  }

  private checkTeam(
    operation: Job['operations'][number],
    placed: PlacedOperation,
    fail: (rule: string, message: string) => void,
  ): void {
    const [least, most] = [operation.people, operation.split ?? operation.people]
    const hands = new Set(placed.people).size
    if (hands !== placed.people.length || hands < least || hands > most)
      fail(
        'people',
        operation.split === undefined
          ? fault('other-team', { needs: least, has: placed.people })
          : fault('split-team', { least, most, has: placed.people }),
      )
    for (const id of placed.people) {
      const person = this.problem.people.find((candidate) => candidate.id === id)
      if (!person) fail('unknown-person', fault('no-person', { id }))
      else if (!person.skills.includes(operation.skill ?? ''))
        fail('skill', fault('lacks-skill', { id, skill: operation.skill ?? '' }))
    }
  }

  private checkWork(
    operation: Job['operations'][number],
    placed: PlacedOperation,
    fail: (rule: string, message: string) => void,
  ): void {
    const calendars = [
      ...this.problem.people.filter(({ id }) => placed.people.includes(id)),
      ...this.problem.places.filter(({ id }) => id === placed.place),
      ...(this.problem.equipment ?? []).filter(({ id }) => operation.equipment?.includes(id)),
    ].map(({ calendar }) => calendar)
    const working = this.open.together(calendars)
    const start = minute(placed.start)
    const end = minute(placed.end)
    if (end <= start || end - start > LONGEST_MINUTES) {
      fail('length', fault('no-length'))
      return
    }
    const segments: [number, number][] = []
    let worked = 0
    for (let at = start; at < end; at++) {
      if (!working(at)) continue
      worked++
      const last = segments.at(-1)
      if (last && last[1] === at) last[1] = at + 1
      else segments.push([at, at + 1])
    }
    if (!working(start)) fail('closed', fault('starts-closed'))
    const minutes =
      operation.split === undefined
        ? operation.minutes
        : Math.ceil(operation.minutes / Math.max(1, placed.people.length))
    if (worked !== minutes) fail('length', fault('open-minutes', { minutes: worked, instead: minutes }))
    else if (!working(end - 1)) fail('length', fault('ends-late'))
    if (operation.mode === 'solid' && segments.length > 1) fail('solid', fault('interrupted'))
    this.checkSegments(placed, segments, fail)
  }

  private checkSegments(
    placed: PlacedOperation,
    expected: [number, number][],
    fail: (rule: string, message: string) => void,
  ): void {
    const given = JSON.stringify(placed.segments.map(([from, to]) => [minute(from), minute(to)]))
    if (given !== JSON.stringify(expected)) fail('segments', fault('other-segments'))
  }

  private checkPeople(): void {
    const byPerson = new Map<string, PlacedOperation[]>()
    for (const placed of this.placed.values())
      for (const person of placed.people) byPerson.set(person, [...(byPerson.get(person) ?? []), placed])
    for (const [person, list] of byPerson) {
      list.sort((a, b) => minute(a.start) - minute(b.start))
      for (const [index, placed] of list.entries()) {
        const next = list[index + 1]
        if (next && minute(next.start) < minute(placed.end))
          this.fail(
            'double-booked',
            fault('double-booked', { id: person, job: placed.job, operation: placed.operation }),
            next.job,
            next.operation,
          )
      }
    }
  }

  private stays(): { job: JobId; place: BayId; kind: string; from: number; to: number }[] {
    return this.problem.jobs.flatMap((job) =>
      job.stays.flatMap((stay) => {
        const placed = stay.operations.flatMap((id) => this.placed.get(`${job.id}\n${id}`) ?? [])
        if (placed.length === 0) return []
        return {
          job: job.id,
          place: placed[0]!.place,
          kind: stay.kind,
          from: Math.min(...placed.map(({ start }) => minute(start))),
          to: Math.max(...placed.map(({ end }) => minute(end))),
        }
      }),
    )
  }

  private checkPlaces(): void {
    const closed = (this.problem.closed ?? []).map(({ place, from, until }) => ({
      job: undefined,
      place,
      from: minute(from),
      to: minute(until),
    }))
    const stays = [...this.stays(), ...closed]
    for (const place of this.problem.places) {
      const here = stays.filter((stay) => stay.place === place.id)
      for (const stay of here) {
        const together = here.filter((other) => other.from <= stay.from && stay.from < other.to)
        if (together.length > place.capacity)
          this.fail(
            'place-full',
            fault('too-full', { id: place.id, held: together.length, fit: place.capacity }),
            stay.job ?? together.find(({ job }) => job)?.job,
          )
      }
    }
  }

  private checkCost(): void {
    const { cost, terms, lowerBound, status } = this.schedule
    const origin = minute(this.problem.origin)
    const sum = { tardiness: 0, hold: 0, finish: 0, makespan: 0 }
    for (const { from, to, kind } of this.stays())
      sum.hold += (to - from) * (kind === 'offsite' ? (this.problem.offsiteCost ?? 1) : 1)
    for (const job of this.problem.jobs) {
      const ends = [...this.placed.values()]
        .filter((placed) => placed.job === job.id)
        .map(({ end }) => minute(end))
      if (ends.length === 0) continue
      const finish = Math.max(...ends)
      sum.finish += finish - minute(job.arrive)
      if (job.due !== undefined) sum.tardiness += job.weight * Math.max(0, finish - minute(job.due))
      sum.makespan = Math.max(sum.makespan, finish - origin)
    }
    const names = ['tardiness', 'hold', 'finish', 'makespan'] as const
    const near = (a: number, b: number) => Math.abs(a - b) <= 1e-6 * Math.max(1, Math.abs(a), Math.abs(b))
    const total = names.reduce((all, name) => all + this.problem.objective[name] * sum[name], 0)
    for (const name of names)
      if (terms && !near(terms[name], sum[name]))
        this.fail('terms', fault('other-term', { term: name, is: sum[name], said: terms[name] }))
    if (typeof cost !== 'number' || !near(cost, total))
      this.fail('cost', fault('other-cost', { is: total, said: cost ?? null }))
    if (lowerBound !== undefined && lowerBound > total + 1e-6) this.fail('lower-bound', fault('bound-above'))
    if (status === 'optimal' && lowerBound !== undefined && !near(lowerBound, total))
      this.fail('optimal', fault('not-optimal'))
  }
}

/** Every rule of the problem that the schedule breaks; an empty list is a valid schedule. */
export function checkSchedule(problem: Problem, schedule: Schedule): BrokenRule[] {
  return new Checker(problem, schedule).run()
}
