import { epochMinutes, fromEpochMinutes, type Instant } from '../time'
import { type JobChange, planChanges } from './changes'
import { jobCost, jobTerms } from './cost'
import { type FirmUses, firmUses, standingStays } from './firm'
import { type Interval, mergeIntervals } from './intervals'
import {
  compileModel,
  type Model,
  type ModelJob,
  type ModelOperation,
  type Narrowing,
  narrowed,
} from './model'
import { type PlaceAttempt, type PlaceFailure, placeJob } from './place-job'
import { readPlacements, scheduleOf, writeOperations } from './placements'
import type { Problem } from './problem'
import { failureReason } from './reasons'
import { type Refusal, refusalAt, refusalByPlace, startLimits, type Wish } from './refusal'
import type { PlacedOperation, Schedule } from './schedule-file'
import { type JobPlacement, ShopState, stayExtent } from './shop-state'

/**
 * One move at a time on a calendar that stands. What comes before the moved operation stays where it is, what follows
 * moves no more than it must, and other cars only where they are in the way. What has begun or is fixed never moves.
 */

/** An operation to begin at a moment; with another person, or its car in another place, where that is asked for. */
export type OperationMove = {
  job: string
  operation: string
  start: Instant
  place?: string
  person?: string
}
/** A stay of a job, with all that follows it, to begin no earlier than a moment; in this place where one is named. */
export type StayMove = { job: string; stay: string; from: Instant; place?: string }

/** A calendar after a move, as what differs from the one that stands. */
export type Rearranged = {
  /** When the moved operation, or what is left of the job, begins. */
  start: Instant
  /** All operations of the jobs that change. */
  operations: PlacedOperation[]
  changes: JobChange[]
  /** Ids of other jobs that make way. */
  pushed: string[]
  /** Minutes by which promises are missed more, and bays held longer; less where negative. */
  lateMinutes: number
  bayMinutes: number
}

/** What may come of a move: one way or two, the wished one first; or the rule that forbids it and the nearest that is allowed. */
export type Tried =
  | { kind: 'allowed'; ways: [Rearranged, ...Rearranged[]] }
  | { kind: 'refused'; refusal: Refusal; nearest?: Rearranged }

/** Starts tried whole when the nearest allowed one is looked for; those a rule forbids by itself do not count. */
const NEAREST_TRIES = 12
/** How far from the wished start the nearest is looked for. */
const NEAREST_DAYS = 14

type Laid = { own: JobPlacement; others: JobPlacement[] }
type Attempt = { ok: true; laid: Laid } | { ok: false; refusal: Refusal }

export class MoveDesk {
  private readonly model: Model
  private readonly placements: readonly (JobPlacement | undefined)[]
  private readonly shop: ShopState
  /** The shop with what no move can push away, and nothing else. */
  private readonly firmShop: ShopState
  private readonly firm: FirmUses

  /** `placed` is the calendar that stands. Jobs that are not wholly on it are left out. The problem is taken to be checked. */
  constructor(
    private readonly problem: Problem,
    private readonly placed: readonly PlacedOperation[],
  ) {
    const model = compileModel(problem)
    this.model = model
    this.placements = readPlacements(model, placed)
    this.shop = new ShopState(model)
    this.firmShop = new ShopState(model)
    for (const job of model.jobs) {
      const placement = this.placements[job.index]
      if (!placement) continue
      this.shop.commit(job, placement)
      for (const [stay, { place }] of standingStays(job, placement))
        this.firmShop.takePlace(place, stayExtent(job, placement, stay))
    }
    this.firm = firmUses(model, this.placements)
  }

  /** The calendar after a rearrangement, to be checked and taken. */
  scheduleWith({ operations }: Pick<Rearranged, 'operations'>): Schedule {
    const changed = readPlacements(this.model, operations)
    return scheduleOf(
      this.model,
      this.placements.flatMap((standing, index) => changed[index] ?? standing ?? []),
    )
  }

  /** What comes of beginning one operation at a moment. Throws for what is not on the calendar. */
  tryOperation(move: OperationMove): Tried {
    const { job, placement } = this.find(move.job)
    const operation = job.operations.find(({ id }) => id === move.operation)
    if (!operation) throw new Error(`“${move.job}” has no operation “${move.operation}”`)
    const wish = this.wishOf(operation.people > 0 ? move : { ...move, person: undefined })
    const start = this.onGrid(operation, this.minuteOf(move.start))
    const there = this.moved(job, operation, placement, start, wish)
    if (!there.ok) {
      const nearest = this.nearest(job, operation, placement, start, wish, false)
      return {
        kind: 'refused',
        refusal: there.refusal,
        ...(nearest ? { nearest: this.describe(operation, nearest) } : {}),
      }
    }
    const wished = this.describe(operation, there.laid)
    if (there.laid.others.length === 0) return { kind: 'allowed', ways: [wished] }
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
    const choices = this.placeChoices(placement, index, wish).map((placesOf) =>
      narrowed(this.model, job, bind, placesOf),
    )
    const beside = this.beside(job, placement, choices, cheapest(this.model))
    const before = this.pushing(job, choices, cheapest(this.model))
    const ways = beside.ok ? [beside.laid] : []
    const sooner = before.ok && !(beside.ok && endOf(beside.laid.own) <= endOf(before.laid.own))
    if (before.ok && sooner) ways.push(before.laid)
    const [wished, ...more] = ways.map((laid) => this.describe(first, laid))
    if (wished) return { kind: 'allowed', ways: [wished, ...more] }
    return { kind: 'refused', refusal: (beside as Extract<Attempt, { ok: false }>).refusal }
  }

  /** The stretches in which an operation may begin without a rule by itself forbidding it; whole slots, to be shown. */
  landings(jobId: string, operationId: string, until: Instant): { from: Instant; to: Instant }[] {
    const { job, placement } = this.find(jobId)
    const operation = job.operations.find(({ id }) => id === operationId)
    if (!operation || operation.pin) return []
    const { slot } = this.model
    const limits = startLimits(job, operation, placement)
    const last = Math.min(limits.to, this.minuteOf(until))
    const open: Interval[] = []
    for (let at = this.onGrid(operation, limits.from, 'after'); at <= last; at += slot)
      if (!refusalAt(this.model, this.firm, job, operation, placement, at, {}))
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
    const placement = job && this.placements[job.index]
    if (!placement) throw new Error(`“${id}” is not on this calendar`)
    return { job, placement }
  }

  private wishOf({ place, person }: { place?: string; person?: string | undefined }): Wish {
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
    const refusal = refusalAt(this.model, this.firm, job, operation, placement, start, wish)
    if (refusal) return { ok: false, refusal }
    const choices = this.bindings(job, operation, placement, start, wish)
    const beside = this.beside(job, placement, choices, firstOf)
    if (beside.ok || calm) return beside
    return this.pushing(job, choices, firstOf)
  }

  /** The start nearest to this one that is allowed; `calm`: without moving any other car. */
  private nearest(
    job: ModelJob,
    operation: ModelOperation,
    placement: JobPlacement,
    wished: number,
    wish: Wish,
    calm: boolean,
  ): Laid | undefined {
    if (operation.pin) return undefined
    const { slot } = this.model
    const limits = startLimits(job, operation, placement)
    const start = this.onGrid(operation, Math.max(limits.from, Math.min(limits.to, wished)))
    const steps = (NEAREST_DAYS * 1440) / slot
    let tries = 0
    for (let away = 0; away <= steps && tries < NEAREST_TRIES; away++)
      for (const at of away === 0 ? [start] : [start - away * slot, start + away * slot]) {
        if (at < limits.from || at > limits.to) continue
        if (refusalAt(this.model, this.firm, job, operation, placement, at, wish)) continue
        const attempt = this.moved(job, operation, placement, at, wish, calm)
        if (attempt.ok) return attempt.laid
        tries++
      }
    return undefined
  }

  /** The ways to lay a job with one operation at a minute, those first that leave more as it is. */
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
    const places = this.placeChoices(placement, operation.stay, wish)
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

  /** Where the stays of a job may be: where they are, then anywhere; the one that is moved where it is wished. */
  private placeChoices(
    placement: JobPlacement,
    movedStay: number,
    { place }: Wish,
  ): ((stay: ModelJob['stays'][number], index: number) => number[])[] {
    const asNow = (stay: ModelJob['stays'][number], index: number) =>
      index === movedStay && place !== undefined
        ? [place]
        : [placement.operations[stay.operations[0]!]!.place]
    const anywhere = (stay: ModelJob['stays'][number], index: number) =>
      index === movedStay && place !== undefined ? [place] : stay.places
    return [asNow, anywhere]
  }

  /** The job laid again while all others stay. */
  private beside(
    job: ModelJob,
    placement: JobPlacement,
    choices: readonly ModelJob[],
    choose: Choose,
  ): Attempt {
    this.shop.remove(job.index)
    try {
      const chosen = choose(choices, (choice) => placeJob({ model: this.model, shop: this.shop }, choice))
      if (!chosen.ok) return { ok: false, refusal: this.refusalOf(job, chosen.failure) }
      return { ok: true, laid: { own: chosen.placed.placement, others: [] } }
    } finally {
      this.shop.remove(job.index)
      this.shop.commit(job, placement)
    }
  }

  /** The job laid as if only what cannot be pushed were there; those in its way are laid again behind it. */
  private pushing(job: ModelJob, choices: readonly ModelJob[], choose: Choose): Attempt {
    const { model, shop, firmShop, placements } = this
    this.dropFirm(job)
    const chosen = choose(choices, (choice) => placeJob({ model, shop: firmShop }, choice))
    this.restoreFirm(job)
    if (!chosen.ok) return { ok: false, refusal: this.refusalOf(job, chosen.failure) }
    const own = chosen.placed.placement
    const inTheWay = model.jobs
      .filter((other) => other !== job && this.clashes(job, own, other))
      .sort((a, b) => startOf(placements[a.index]!) - startOf(placements[b.index]!))
    const touched = [job, ...inTheWay]
    for (const each of touched) shop.remove(each.index)
    try {
      shop.commit(job, own)
      // What is fixed of them lies where it lies, whoever is laid first.
      for (const other of inTheWay) shop.reserve(other)
      const others: JobPlacement[] = []
      for (const other of inTheWay) {
        const attempt = this.laidBehind(other)
        if (!attempt.ok) {
          const { operation, message } = failureReason(model, other.index, attempt.failure)
          return { ok: false, refusal: { code: 'no-room-for-other', job: other.id, operation, message } }
        }
        shop.remove(other.index)
        shop.commit(other, attempt.placed.placement)
        others.push(attempt.placed.placement)
      }
      return { ok: true, laid: { own, others } }
    } finally {
      for (const each of touched) shop.remove(each.index)
      for (const each of touched) shop.commit(each, placements[each.index]!)
    }
  }

  /** Another job with nothing of it earlier than it was: by the same people in the same places, or by whom and where it costs less. */
  private laidBehind(other: ModelJob): PlaceAttempt {
    const placement = this.placements[other.index]!
    const now = ({ index }: ModelOperation) => placement.operations[index]!
    const [asNow, anywhere] = this.placeChoices(placement, -1, {})
    const choices = [
      narrowed(this.model, other, (each) => ({ notBefore: now(each).start, crew: now(each).people }), asNow!),
      narrowed(this.model, other, (each) => ({ notBefore: now(each).start }), anywhere!),
    ]
    return cheapest(this.model)(choices, (choice) => placeJob({ model: this.model, shop: this.shop }, choice))
  }

  /** Stretches held in the firm shop are nobody’s; the job that is moved must not be kept out by its own. */
  private dropFirm(job: ModelJob): void {
    this.firmShop.remove(job.index)
    const placement = this.placements[job.index]!
    for (const [stay, { place }] of standingStays(job, placement))
      this.firmShop.leavePlace(place, stayExtent(job, placement, stay))
  }

  private restoreFirm(job: ModelJob): void {
    this.firmShop.reserve(job)
    const placement = this.placements[job.index]!
    for (const [stay, { place }] of standingStays(job, placement))
      this.firmShop.takePlace(place, stayExtent(job, placement, stay))
  }

  /** Whether a job on the calendar that stands shares a person or a full place with this placement of another. */
  private clashes(job: ModelJob, own: JobPlacement, other: ModelJob): boolean {
    const placement = this.placements[other.index]
    if (!placement) return false
    const meet = (a: { start: number; end: number }, b: { start: number; end: number }) =>
      a.start < b.end && b.start < a.end
    const people = own.operations.some((one) =>
      placement.operations.some(
        (two) => meet(one, two) && one.people.some((person) => two.people.includes(person)),
      ),
    )
    if (people) return true
    return job.stays.some((stay, index) => {
      const { place } = own.operations[stay.operations[0]!]!
      const extent = stayExtent(job, own, index)
      if (this.model.capacity[place]! > 1 && this.isFree(job, place, extent)) return false
      return other.stays.some((theirs, at) => {
        if (placement.operations[theirs.operations[0]!]!.place !== place) return false
        const { from, to } = stayExtent(other, placement, at)
        return from < extent.to && extent.from < to
      })
    })
  }

  private isFree(job: ModelJob, place: number, { from, to }: Interval): boolean {
    this.shop.remove(job.index)
    const free = this.shop.freeGaps(place).some((gap) => gap.from <= from && to <= gap.to)
    this.shop.commit(job, this.placements[job.index]!)
    return free
  }

  private refusalOf(job: ModelJob, failure: PlaceFailure): Refusal {
    const { operation, message } = failureReason(this.model, job.index, failure)
    return { code: 'no-follower', operation, message }
  }

  private describe({ index }: ModelOperation, { own, others }: Laid): Rearranged {
    const { model, placements } = this
    const changed = [own, ...others]
    const operations = changed.flatMap((placement) => writeOperations(model, placement))
    const jobs = new Set(operations.map(({ job }) => job))
    const before = this.placed.filter(({ job }) => jobs.has(job))
    const due = Object.fromEntries(
      this.problem.jobs.flatMap(({ id, due: promised }) => (promised ? [[id, promised as Instant]] : [])),
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

/** How one of several bindings of a job is chosen. */
type Choose = (choices: readonly ModelJob[], lay: (choice: ModelJob) => PlaceAttempt) => PlaceAttempt

/** The first that can be; of none, why not for the freest. */
const firstOf: Choose = (choices, lay) => {
  let last: PlaceAttempt | undefined
  for (const choice of choices) {
    if (choice.placeChoices.length === 0) continue
    last = lay(choice)
    if (last.ok) return last
  }
  return last ?? { ok: false, failure: { operation: choices[0]!.order![0]!, code: 'no-place' } }
}

/** The one that costs least, of equals the first. */
const cheapest =
  (model: Model): Choose =>
  (choices, lay) => {
    let best: PlaceAttempt | undefined
    let least = Number.POSITIVE_INFINITY
    for (const choice of choices) {
      if (choice.placeChoices.length === 0) continue
      const attempt = lay(choice)
      const cost = attempt.ok ? jobCost(model, choice, attempt.placed.placement) : Number.POSITIVE_INFINITY
      if (!best || cost < least) [best, least] = [attempt, cost]
    }
    return best ?? { ok: false, failure: { operation: choices[0]!.order![0]!, code: 'no-place' } }
  }

const startOf = ({ operations }: JobPlacement) => Math.min(...operations.map(({ start }) => start))
const endOf = ({ operations }: JobPlacement) => Math.max(...operations.map(({ end }) => end))

/** All that links put behind an operation. */
function followersOf(job: ModelJob, index: number): ReadonlySet<number> {
  const behind = new Set<number>([index])
  for (const each of job.order!)
    for (const { from, to } of job.links) if (from === each && behind.has(from)) behind.add(to)
  behind.delete(index)
  return behind
}
