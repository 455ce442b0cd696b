import type { Interval } from '../contract/intervals'
import type { PlacedOperation } from '../contract/schedule-file'
import { jobCost } from '../solver/cost'
import type { Model, ModelJob, ModelOperation } from '../solver/model'
import { narrowed } from '../solver/place-groups'
import { type PlaceAttempt, type PlaceFailure, placeJob } from '../solver/place-job'
import { readPlacements } from '../solver/placements'
import { failureReason } from '../solver/reasons'
import { spoilsAir } from '../solver/shared-air'
import { holdExtent, type JobPlacement, ShopState, stayExtent } from '../solver/shop-state'
import { type FirmUses, firmUses, standingStays } from './firm'
import type { Refusal, Wish } from './refusal'

/** What a move comes to: the job itself, and those that make way. */
export type Placed = { own: JobPlacement; others: JobPlacement[] }
export type Attempt = { ok: true; placed: Placed } | { ok: false; refusal: Refusal }

/** A calendar that stands, on which one job is placed again, beside the others or with those in its way behind it. */
export class StandingCalendar {
  readonly placements: readonly (JobPlacement | undefined)[]
  readonly firm: FirmUses
  private readonly shop: ShopState
  /** The shop with what no move can push away, and nothing else. */
  private readonly firmShop: ShopState

  constructor(
    private readonly model: Model,
    placed: readonly PlacedOperation[],
  ) {
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

  /** The job placed again while all others stay. */
  beside(job: ModelJob, placement: JobPlacement, choices: readonly ModelJob[], choose: Choose): Attempt {
    this.shop.remove(job.index)
    try {
      const chosen = choose(choices, (choice) => placeJob({ model: this.model, shop: this.shop }, choice))
      if (!chosen.ok) return { ok: false, refusal: this.refusalOf(job, chosen.failure) }
      return { ok: true, placed: { own: chosen.placed.placement, others: [] } }
    } finally {
      this.shop.remove(job.index)
      this.shop.commit(job, placement)
    }
  }

  /** The job placed as if only what cannot be pushed were there; those in its way are placed again behind it. */
  pushing(job: ModelJob, choices: readonly ModelJob[], choose: Choose): Attempt {
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
      // What is fixed of them lies where it lies, whoever is placed first.
      for (const other of inTheWay) shop.reserve(other)
      const others: JobPlacement[] = []
      for (const other of inTheWay) {
        const attempt = this.laidBehind(other)
        if (!attempt.ok) {
          const reason = failureReason(model, other.index, attempt.failure)
          return { ok: false, refusal: { code: 'no-room-for-other', job: other.id, reason } }
        }
        shop.remove(other.index)
        shop.commit(other, attempt.placed.placement)
        others.push(attempt.placed.placement)
      }
      return { ok: true, placed: { own, others } }
    } finally {
      for (const each of touched) shop.remove(each.index)
      for (const each of touched) shop.commit(each, placements[each.index]!)
    }
  }

  /** Another job with nothing of it earlier than it was: by the same people in the same places, or by whom and where it costs less. */
  private laidBehind(other: ModelJob): PlaceAttempt {
    const placement = this.placements[other.index]!
    const now = ({ index }: ModelOperation) => placement.operations[index]!
    const [asNow, anywhere] = placeChoices(placement, -1, {})
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

  /** Whether a job on the calendar that stands is in the way of this placement of another: by a person, a full place, equipment or the air. */
  private clashes(job: ModelJob, own: JobPlacement, other: ModelJob): boolean {
    const placement = this.placements[other.index]
    if (!placement) return false
    const isBeside = own.operations.some((one, index) =>
      placement.operations.some(
        (two, at) =>
          one.start < two.end &&
          two.start < one.end &&
          (one.people.some((person) => two.people.includes(person)) ||
            spoilsAir(
              this.model.airOf,
              { place: one.place, air: job.operations[index]!.air },
              { place: two.place, air: other.operations[at]!.air },
            )),
      ),
    )
    if (isBeside || this.sharesEquipment(job, own, other, placement)) return true
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

  /** Whether both use equipment of a kind at one time: then there may be too little of it. */
  private sharesEquipment(job: ModelJob, own: JobPlacement, other: ModelJob, theirs: JobPlacement): boolean {
    const mine = equipmentUses(job, own)
    return equipmentUses(other, theirs).some((use) =>
      mine.some(({ equipment, from, to }) => equipment === use.equipment && from < use.to && use.from < to),
    )
  }

  private isFree(job: ModelJob, place: number, { from, to }: Interval): boolean {
    this.shop.remove(job.index)
    const free = this.shop.freeGaps(place).some((gap) => gap.from <= from && to <= gap.to)
    this.shop.commit(job, this.placements[job.index]!)
    return free
  }

  private refusalOf(job: ModelJob, failure: PlaceFailure): Refusal {
    return { code: 'no-follower', reason: failureReason(this.model, job.index, failure) }
  }
}

/** Where the stays of a job may be: where they are, then anywhere; the one that is moved where it is wished. */
export function placeChoices(
  placement: JobPlacement,
  movedStay: number,
  { place }: Wish,
): ((stay: ModelJob['stays'][number], index: number) => number[])[] {
  const asNow = (stay: ModelJob['stays'][number], index: number) =>
    index === movedStay && place !== undefined ? [place] : [placement.operations[stay.operations[0]!]!.place]
  const anywhere = (stay: ModelJob['stays'][number], index: number) =>
    index === movedStay && place !== undefined ? [place] : stay.places
  return [asNow, anywhere]
}

/** How one of several bindings of a job is chosen. */
export type Choose = (choices: readonly ModelJob[], place: (choice: ModelJob) => PlaceAttempt) => PlaceAttempt

/** The first that can be; of none, why not for the freest. */
export const firstOf: Choose = (choices, place) => {
  let last: PlaceAttempt | undefined
  for (const choice of choices) {
    if (choice.placeChoices.length === 0) continue
    last = place(choice)
    if (last.ok) return last
  }
  return last ?? { ok: false, failure: { operation: choices[0]!.order![0]!, code: 'no-place' } }
}

/** The one that costs least, of equals the first. */
export const cheapest =
  (model: Model): Choose =>
  (choices, place) => {
    let best: PlaceAttempt | undefined
    let least = Number.POSITIVE_INFINITY
    for (const choice of choices) {
      if (choice.placeChoices.length === 0) continue
      const attempt = place(choice)
      const cost = attempt.ok ? jobCost(model, choice, attempt.placed.placement) : Number.POSITIVE_INFINITY
      if (!best || cost < least) [best, least] = [attempt, cost]
    }
    return best ?? { ok: false, failure: { operation: choices[0]!.order![0]!, code: 'no-place' } }
  }

/** When a job uses which kinds of equipment: in its operations, and held between two of them. */
const equipmentUses = (job: ModelJob, placement: JobPlacement): (Interval & { equipment: number })[] => [
  ...job.operations.flatMap(({ index, equipment }) => {
    const { start: from, end: to } = placement.operations[index]!
    return equipment.map((each) => ({ equipment: each, from, to }))
  }),
  ...job.holds.map((hold) => ({ equipment: hold.equipment, ...holdExtent(hold, placement) })),
]

const startOf = ({ operations }: JobPlacement) => Math.min(...operations.map(({ start }) => start))
export const endOf = ({ operations }: JobPlacement) => Math.max(...operations.map(({ end }) => end))

/** All that links put behind an operation. */
export function followersOf(job: ModelJob, index: number): ReadonlySet<number> {
  const behind = new Set<number>([index])
  for (const each of job.order!)
    for (const { from, to } of job.links) if (from === each && behind.has(from)) behind.add(to)
  behind.delete(index)
  return behind
}
