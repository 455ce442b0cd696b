import type { Bound } from '../bound'
import type { Model } from '../model'
import { type Chain, chainOf, isAligned } from './chain'
import { type Path, type PlaceGroup, type Prices, RelaxedJob, summed } from './relaxed'

/**
 * What no schedule can cost less than, by prices on people and places: every job goes its cheapest way by itself and pays for whom and what it
 * uses, slot by slot; what too many want becomes dearer, until few are in each other’s way. Whatever the prices are, the cheapest ways less what
 * all there is would bring is a bound (Lagrangian relaxation: Fisher 1981, Management Science 27; of job shops Hoitomt, Luh and Pattipati 1993,
 * IEEE Transactions on Robotics and Automation 9; prices by subgradients: Held, Wolfe and Crowder 1974, Mathematical Programming 6).
 */

export type PricedOptions = {
  /** What the best schedule known costs, minutes. */
  best: number
  /** Rounds of prices at most. */
  rounds: number
}

/** Rounds without anything better after which steps become half as long (tried out). */
const PATIENCE = 12
const FIRST_STEP = 1.2
const LEAST_STEP = 0.002
/** Ways and slots that are looked at for one bound: some seconds; and rounds, whatever the size. */
const LEISURE = 1.5e8
const LEAST_ROUNDS = 8
const MOST_ROUNDS = 400

/** Groups of places that some stay may be in, and of each stay which of them it asks of. */
function placeGroups({ jobs, capacity }: Model): { groups: PlaceGroup[]; of: number[][][] } {
  const keyOf = (places: readonly number[]) => places.toSorted((a, b) => a - b).join()
  const kinds = new Map<string, PlaceGroup>()
  for (const { stays } of jobs)
    for (const { places } of stays)
      kinds.set(keyOf(places), {
        places: new Set(places),
        capacity: places.reduce((sum, place) => sum + capacity[place]!, 0),
      })
  const groups = [...kinds.values()]
  return {
    groups,
    of: jobs.map(({ stays }) =>
      stays.map(({ places }) =>
        groups.flatMap((group, at) => (places.every((place) => group.places.has(place)) ? [at] : [])),
      ),
    ),
  }
}

/** Minutes of each slot from one minute to another are added to a list. */
function addUse(use: Float64Array, from: number, to: number, slot: number): void {
  for (let at = Math.max(0, Math.floor(from / slot)); at < use.length && at * slot < to; at++)
    use[at]! += Math.min(to, (at + 1) * slot) - Math.max(from, at * slot)
}

/** What costs are whole multiples of, minutes; 0 where they are of nothing in particular. */
export function grain(model: Model): number {
  const { tardiness, hold, finish, makespan } = model.problem.objective
  const rates = [hold, finish, makespan, ...model.jobs.map(({ weight }) => weight * tardiness)]
  const isWhole =
    rates.every(Number.isInteger) &&
    model.jobs.every(({ stays }) => stays.every(({ holdShare }) => holdShare === 1))
  if (!isWhole || !isAligned(model)) return 0
  const common = (a: number, b: number): number => (b === 0 ? a : common(b, a % b))
  return model.slot * rates.reduce(common, 0)
}

export class PricedBound {
  /** The best bound so far, minutes. */
  bound = Number.NEGATIVE_INFINITY
  private readonly slots: number
  private readonly jobs: { chain: Chain; relaxed: RelaxedJob; groups: readonly (readonly number[])[] }[] = []
  private readonly groups: PlaceGroup[]
  private readonly prices: Prices
  /** Sets of prices looked at so far. */
  rounds = 0
  private step = FIRST_STEP
  private sinceBetter = 0
  private isOver = false
  private readonly rounded: number
  /** What jobs without a chain, and the makespan, cost at least. */
  private readonly rest: number

  constructor(
    private readonly model: Model,
    /** What is known of each job by itself, for those that have no chain, and of the makespan. */
    known: Pick<Bound, 'alone' | 'makespan'>,
  ) {
    this.slots = Math.ceil(model.horizon / model.slot)
    const { groups, of } = placeGroups(model)
    this.groups = groups
    let rest = known.makespan
    for (const job of model.jobs) {
      const chain = chainOf(model, job, this.slots)
      if (!chain) {
        rest += known.alone[job.index]!
        continue
      }
      const own = of[job.index]!
      this.jobs.push({ chain, relaxed: new RelaxedJob(model, chain, own, this.slots), groups: own })
    }
    this.rest = rest
    const none = () => new Float64Array(this.slots)
    this.prices = { people: model.personIds.map(none), places: groups.map(none) }
    this.rounded = grain(model)
  }

  /** So many sets of prices are looked at for a bound that is asked for beside a schedule. */
  get roundsAtLeisure(): number {
    const work = this.jobs.reduce(
      (sum, { chain }) => sum + this.slots * chain.steps.reduce((all, { ways }) => all + ways.length, 0),
      0,
    )
    return Math.min(MOST_ROUNDS, Math.max(LEAST_ROUNDS, Math.round(LEISURE / Math.max(1, work))))
  }

  /** Improves the bound until it meets the best that is known, or the rounds are over. */
  improve({ best, rounds }: PricedOptions): number {
    for (let round = 0; round < rounds; round++) {
      this.rounds++
      if (this.isOver || this.bound >= best - 1e-6) break
      this.isOver = !this.round(best) || this.step < LEAST_STEP
    }
    return this.bound
  }

  /** One set of prices. False where nothing is left to learn. */
  private round(best: number): boolean {
    const { model, prices, slots } = this
    const { slot } = model
    const sums = {
      people: prices.people.map((price) => summed(price, slot)),
      places: prices.places.map((price) => summed(price, slot)),
    }
    const use: Prices = {
      people: prices.people.map(() => new Float64Array(slots)),
      places: prices.places.map(() => new Float64Array(slots)),
    }
    let value = this.rest
    for (const { chain, relaxed, groups } of this.jobs) {
      const found = relaxed.cheapest(sums)
      if (!found) {
        // No way at all in the horizon: no schedule costs anything.
        this.bound = Number.POSITIVE_INFINITY
        return false
      }
      value += found.cost
      this.addUses(use, chain, groups, found.path)
    }
    const capacities = [
      ...prices.people.map(() => slot),
      ...this.groups.map(({ capacity }) => capacity * slot),
    ]
    const lists = [...prices.people, ...prices.places]
    const used = [...use.people, ...use.places]
    let square = 0
    for (const [resource, price] of lists.entries()) {
      const capacity = capacities[resource]!
      for (let at = 0; at < slots; at++) {
        value -= price[at]! * capacity
        const over = used[resource]![at]! - capacity
        used[resource]![at] = over
        // What is free and costs nothing pulls nowhere.
        if (over > 0 || price[at]! > 0) square += over * over
      }
    }
    const sure = this.asCost(value)
    if (sure > this.bound + 1e-9) {
      this.bound = sure
      this.sinceBetter = 0
    } else if (++this.sinceBetter >= PATIENCE) {
      this.step /= 2
      this.sinceBetter = 0
    }
    if (square === 0) return false
    const by = (this.step * Math.max(best - value, 1e-3 * Math.abs(best) + 1)) / square
    for (const [resource, price] of lists.entries())
      for (let at = 0; at < slots; at++) price[at] = Math.max(0, price[at]! + by * used[resource]![at]!)
    return true
  }

  /** A cost is a whole multiple of its grain: what lies between two is the upper. */
  private asCost(value: number): number {
    if (this.rounded === 0) return value
    return Math.ceil(value / this.rounded - 1e-6) * this.rounded
  }

  private addUses(use: Prices, chain: Chain, groups: readonly (readonly number[])[], path: Path): void {
    const { slot } = this.model
    for (const { start, end, people } of path)
      for (const person of people) addUse(use.people[person]!, start, end, slot)
    for (const stay of chain.stays) {
      const first = chain.steps.findIndex(({ begins }) => begins.includes(stay))
      const last = chain.steps.findIndex(({ ends }) => ends.includes(stay))
      const from = path[first]!.start + chain.steps[first]!.heldAfter
      for (const group of groups[stay]!) addUse(use.places[group]!, from, path[last]!.end, slot)
    }
  }
}
