import type { Random } from '../random'
import type { JobShop } from './job-shop'

/**
 * Tabu search over whose turn it is at each thing of a job shop: two neighbours of a longest chain change places, the pair that promises
 * most, and may not soon change back (van Laarhoven, Aarts and Lenstra 1992, “Job shop scheduling by simulated annealing”, for the moves, of
 * which none makes a circle; Taillard 1994, “Parallel taboo search techniques for the job shop scheduling problem”, for what they promise).
 */

// The figures below were tried out on job shops of ten jobs and ten machines.

/** For so many moves a pair may not change back, at least, and at random so many more. */
const TABU_MIN = 8
const TABU_MORE = 8
/** After so many moves without anything better it begins again with the best, shaken by so many moves at random. */
const PATIENCE = 8000
const SHAKES = 12

/** Neighbours at one thing, by the place of the first in its row. */
type Swap = { machine: number; at: number }

export class TurnSearch {
  /** When each step begins in the best found, minutes from the origin, and when all of it is over. */
  best: { starts: number[]; end: number }
  private readonly turns: number[][]
  private readonly follow: { step: number; wait: number }[][]
  private readonly precede: { step: number; wait: number }[][]
  /** When each step begins, and how long it is from its end to the end of all. */
  private readonly heads: number[]
  private readonly tails: number[]
  private readonly turnAt: number[]
  /** The steps so that each comes behind all it waits for, and for how many it still waits while they are put in order. */
  private readonly order: number[]
  private readonly waitsFor: number[]
  private readonly freeAgain: number[]
  private moves = 0
  private since = 0

  /** Begins with the turns in which the steps begin in a schedule. */
  constructor(
    private readonly shop: JobShop,
    starts: readonly number[],
    private readonly random: Random,
  ) {
    const count = shop.minutes.length
    this.turns = Array.from({ length: shop.machines }, (_, machine) =>
      [...starts.keys()]
        .filter((step) => shop.machineOf[step] === machine)
        .sort((a, b) => starts[a]! - starts[b]!),
    )
    this.follow = shop.minutes.map(() => [])
    this.precede = shop.minutes.map(() => [])
    for (const { from, to, wait } of shop.links) {
      this.follow[from]!.push({ step: to, wait })
      this.precede[to]!.push({ step: from, wait })
    }
    this.heads = shop.minutes.map(() => 0)
    this.tails = shop.minutes.map(() => 0)
    this.turnAt = shop.minutes.map(() => 0)
    this.order = shop.minutes.map(() => 0)
    this.waitsFor = shop.minutes.map(() => 0)
    this.freeAgain = Array.from({ length: count * count }, () => 0)
    this.best = { starts: [], end: this.time() }
    this.best.starts = [...this.heads]
  }

  /** Another `moves` changes of turn. */
  step(moves: number): void {
    for (let done = 0; done < moves; done++) {
      const swap = this.chosen()
      if (!swap) return
      this.swap(swap)
      const end = this.time()
      if (end < this.best.end) {
        this.best = { starts: [...this.heads], end }
        this.since = 0
      } else if (++this.since > PATIENCE) this.beginAgain()
    }
  }

  /** The pair to change places: of those that may, the one that promises the soonest end; any where none may. */
  private chosen(): Swap | undefined {
    const swaps = this.criticalPairs()
    let chosen: Swap | undefined
    let least = Number.POSITIVE_INFINITY
    for (const swap of swaps) {
      const [before, after] = this.pair(swap)
      const promised = this.promise(swap)
      const mayNot = this.freeAgain[after * this.shop.minutes.length + before]! > this.moves
      if ((mayNot && promised >= this.best.end) || promised >= least) continue
      least = promised
      chosen = swap
    }
    return chosen ?? swaps[Math.floor(this.random() * swaps.length)]
  }

  private pair({ machine, at }: Swap): [before: number, after: number] {
    return [this.turns[machine]![at]!, this.turns[machine]![at + 1]!]
  }

  /** The neighbours on the longest chains: only they can make all of it end sooner. */
  private criticalPairs(): Swap[] {
    const { heads, tails } = this
    const { minutes } = this.shop
    const end = this.endNow()
    const pairs: Swap[] = []
    for (let machine = 0; machine < this.turns.length; machine++) {
      const row = this.turns[machine]!
      for (let at = 0; at + 1 < row.length; at++) {
        const [before, after] = [row[at]!, row[at + 1]!]
        const over = heads[before]! + minutes[before]!
        const isCritical = over === heads[after] && over + tails[before]! === end
        // Of one job, one after the other: no turn of the machine but the job's own order.
        const isOrdered = this.follow[before]!.some(({ step }) => step === after)
        if (isCritical && !isOrdered) pairs.push({ machine, at })
      }
    }
    return pairs
  }

  /** The longest chain through the two if they changed places. */
  private promise(swap: Swap): number {
    const { minutes } = this.shop
    const [before, after] = this.pair(swap)
    const row = this.turns[swap.machine]!
    const ahead = row[swap.at - 1]
    const behind = row[swap.at + 2]
    const freed = ahead === undefined ? 0 : this.heads[ahead]! + minutes[ahead]!
    const left = behind === undefined ? 0 : minutes[behind]! + this.tails[behind]!
    const headAfter = Math.max(freed, this.readyAt(after))
    const headBefore = Math.max(headAfter + minutes[after]!, this.readyAt(before))
    const tailBefore = Math.max(left, this.restOf(before))
    const tailAfter = Math.max(tailBefore + minutes[before]!, this.restOf(after))
    return Math.max(headAfter + minutes[after]! + tailAfter, headBefore + minutes[before]! + tailBefore)
  }

  /** When what a step follows in its own job is over. */
  private readyAt(step: number): number {
    let ready = this.shop.release[step]!
    for (const { step: before, wait } of this.precede[step]!)
      ready = Math.max(ready, this.heads[before]! + this.shop.minutes[before]! + wait)
    return ready
  }

  /** How long what follows a step in its own job takes to the end. */
  private restOf(step: number): number {
    let rest = 0
    for (const { step: after, wait } of this.follow[step]!)
      rest = Math.max(rest, wait + this.shop.minutes[after]! + this.tails[after]!)
    return rest
  }

  private swap(swap: Swap): void {
    const [before, after] = this.pair(swap)
    const row = this.turns[swap.machine]!
    row[swap.at] = after
    row[swap.at + 1] = before
    this.moves++
    this.freeAgain[before * this.shop.minutes.length + after] =
      this.moves + TABU_MIN + Math.floor(this.random() * TABU_MORE)
  }

  private endNow(): number {
    let end = 0
    for (let step = 0; step < this.heads.length; step++)
      end = Math.max(end, this.heads[step]! + this.shop.minutes[step]!)
    return end
  }

  /** When each step begins and how long is left behind it, in the turns as they are. When all is over. */
  private time(): number {
    const { turns, turnAt, heads, tails, order, waitsFor } = this
    const { machineOf, minutes } = this.shop
    for (const row of turns) for (let at = 0; at < row.length; at++) turnAt[row[at]!] = at
    let known = 0
    for (let step = 0; step < minutes.length; step++) {
      waitsFor[step] = this.precede[step]!.length + (turnAt[step]! > 0 ? 1 : 0)
      if (waitsFor[step] === 0) order[known++] = step
    }
    for (let at = 0; at < known; at++) {
      const step = order[at]!
      const row = turns[machineOf[step]!]!
      const ahead = row[turnAt[step]! - 1]
      const next = row[turnAt[step]! + 1]
      const ready = this.readyAt(step)
      heads[step] = ahead === undefined ? ready : Math.max(ready, heads[ahead]! + minutes[ahead]!)
      const follow = this.follow[step]!
      for (let each = 0; each < follow.length; each++)
        if (--waitsFor[follow[each]!.step]! === 0) order[known++] = follow[each]!.step
      if (next !== undefined && --waitsFor[next]! === 0) order[known++] = next
    }
    for (let at = known - 1; at >= 0; at--) {
      const step = order[at]!
      const next = turns[machineOf[step]!]![turnAt[step]! + 1]
      const rest = this.restOf(step)
      tails[step] = next === undefined ? rest : Math.max(rest, minutes[next]! + tails[next]!)
    }
    return this.endNow()
  }

  private beginAgain(): void {
    const { starts } = this.best
    for (const row of this.turns) row.sort((a, b) => starts[a]! - starts[b]!)
    this.time()
    for (let shake = 0; shake < SHAKES; shake++) {
      const swaps = this.criticalPairs()
      if (swaps.length === 0) break
      this.swap(swaps[Math.floor(this.random() * swaps.length)]!)
      this.time()
    }
    this.since = 0
  }
}
