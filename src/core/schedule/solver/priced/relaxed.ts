import type { Model } from '../model'
import { type Chain, NEVER } from './chain'

/** The cheapest way through one chain where people and places have a price in every slot. */

/** Prices of people and of groups of places, a minute, slot by slot; and what has been asked of each, minutes. */
export type Prices = { people: Float64Array[]; places: Float64Array[] }

/** Groups of places a stay may be held in; a stay asks for a place of every group that holds all it may be in. */
export type PlaceGroup = { places: ReadonlySet<number>; capacity: number }

/** What a price comes to from the origin to the beginning of each slot. */
export function summed(price: Float64Array, slot: number): Float64Array {
  const sums = new Float64Array(price.length + 1)
  for (let at = 0; at < price.length; at++) sums[at + 1] = sums[at]! + price[at]! * slot
  return sums
}

/** When and by whom each step is done; by its index. */
export type Path = { start: number; end: number; people: readonly number[] }[]

export type Priced = { cost: number; path: Path }

type Sums = { people: Float64Array[]; places: Float64Array[] }

/** Finds cheapest paths; holds what does not change from one set of prices to the next. */
export class RelaxedJob {
  private readonly values: Float64Array[]
  private readonly chosen: Uint8Array[]
  /** The cheapest beginning of the step after, for an end whose lag is over in each slot. */
  private readonly onward: Float64Array
  private readonly onwardAt: Int32Array
  private readonly follows: Int32Array[]

  constructor(
    private readonly model: Model,
    private readonly chain: Chain,
    /** Of each stay, by index, the groups it asks of. */
    readonly groups: readonly (readonly number[])[],
    private readonly slots: number,
  ) {
    this.values = chain.steps.map(() => new Float64Array(slots))
    this.chosen = chain.steps.map(() => new Uint8Array(slots))
    this.follows = chain.steps.map(() => new Int32Array(slots))
    this.onward = new Float64Array(slots + 1)
    this.onwardAt = new Int32Array(slots + 1)
  }

  /** The cheapest path, and what it costs with its prices; undefined where there is none. */
  cheapest(sums: Sums): Priced | undefined {
    const { chain, slots, model } = this
    const last = chain.steps.length - 1
    for (let step = last; step >= 0; step--) {
      if (step < last) this.lookOnward(step)
      const { ways, heldAfter, begins, ends, lag } = chain.steps[step]!
      const [values, chosen, follows] = [this.values[step]!, this.chosen[step]!, this.follows[step]!]
      for (let at = 0; at < slots; at++) {
        let best = Number.POSITIVE_INFINITY
        for (let way = 0; way < ways.length; way++) {
          const { people, end: endsAt } = ways[way]!
          const end = endsAt[at]!
          if (end === NEVER) continue
          const next = step === last ? -1 : Math.max(0, Math.ceil((end + lag) / model.slot))
          let cost = step === last ? 0 : next >= slots ? Number.POSITIVE_INFINITY : this.onward[next]!
          if (cost >= best) continue
          for (let person = 0; person < people.length; person++) {
            const sum = sums.people[people[person]!]!
            cost += this.upTo(sum, end) - sum[at]!
          }
          for (const stay of ends) cost += this.stayCost(stay, end, sums)
          if (step === last) cost += this.endCost(end)
          if (cost >= best) continue
          best = cost
          chosen[at] = way
          follows[at] = step === last ? -1 : this.onwardAt[next]!
        }
        for (const stay of begins) best -= this.stayCost(stay, at * model.slot + heldAfter, sums)
        values[at] = best
      }
    }
    return this.read()
  }

  private read(): Priced | undefined {
    const first = this.values[0]!
    let at = 0
    for (let slot = 1; slot < this.slots; slot++) if (first[slot]! < first[at]!) at = slot
    const cost = first[at]!
    if (cost === Number.POSITIVE_INFINITY) return undefined
    const path = this.chain.steps.map(({ ways }, step) => {
      const { people, end } = ways[this.chosen[step]![at]!]!
      const found = { start: at * this.model.slot, end: end[at]!, people }
      at = this.follows[step]![at]!
      return found
    })
    return { cost, path }
  }

  /** For every slot the cheapest beginning of the next step in it or after it, as far as its window goes: the least in a window that slides. */
  private lookOnward(step: number): void {
    const { within } = this.chain.steps[step]!
    const values = this.values[step + 1]!
    const queue = new Int32Array(this.slots)
    let [head, tail] = [0, 0]
    for (let at = this.slots - 1; at >= 0; at--) {
      while (tail > head && values[queue[tail - 1]!]! >= values[at]!) tail--
      queue[tail++] = at
      while (queue[head]! >= at + within) head++
      this.onwardAt[at] = queue[head]!
      this.onward[at] = values[queue[head]!]!
    }
  }

  /** A price summed up to any minute. */
  private upTo(sums: Float64Array, minute: number): number {
    const { slot } = this.model
    const at = Math.floor(minute / slot)
    if (at >= sums.length - 1) return sums[sums.length - 1]!
    return sums[at]! + ((sums[at + 1]! - sums[at]!) * (minute - at * slot)) / slot
  }

  /** What holding the place of a stay until a minute counts, from the origin on. */
  private stayCost(stay: number, minute: number, sums: Sums): number {
    const { holdShare } = this.chain.job.stays[stay]!
    let cost = this.model.problem.objective.hold * holdShare * minute
    for (const group of this.groups[stay]!) cost += this.upTo(sums.places[group]!, minute)
    return cost
  }

  private endCost(end: number): number {
    const { tardiness, finish } = this.model.problem.objective
    const { due, weight, arrive } = this.chain.job
    const late = due === undefined ? 0 : Math.max(0, end - due)
    return tardiness * weight * late + finish * (end - arrive)
  }
}
