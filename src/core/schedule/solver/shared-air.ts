import type { Interval } from '../contract/intervals'
import type { Air, ModelOperation } from './model'
import { UnitPool, type Use } from './unit-pool'

/** What an operation does to the air of its place, or fears from it. */
export type Breath = { place: number; air?: Air | undefined }

/** Whether one raises dust and the other lies open in one air. */
export function spoilsAir(
  airOf: readonly (number | undefined)[],
  { place: here, air: one }: Breath,
  { place: there, air: other }: Breath,
): boolean {
  const air = airOf[here]
  return air !== undefined && air === airOf[there] && one !== undefined && other === AGAINST[one]
}

/** One side of an air: what has begun lies as it lies, and is in the way only of what is still to begin. */
type Side = { begun: UnitPool; ahead: UnitPool }

const AGAINST: Record<Air, Air> = { dust: 'open', open: 'dust' }

/**
 * The air that places share: while one car raises dust, nothing of another lies open, and the other way round. What one
 * car does to itself is said by the pairs of its job. Mutable.
 */
export class SharedAir {
  private readonly sides: readonly Record<Air, Side>[]

  constructor(
    private readonly airOf: readonly (number | undefined)[],
    range: Interval,
  ) {
    const side = (): Side => ({ begun: new UnitPool(1, range), ahead: new UnitPool(1, range) })
    const airs = new Set(airOf.filter((air) => air !== undefined))
    this.sides = Array.from(airs, () => ({ dust: side(), open: side() }))
  }

  take(operation: ModelOperation, place: number, use: Use): void {
    const side = this.sideOf(operation.air, place)
    side?.[operation.begun ? 'begun' : 'ahead'].take(use)
  }

  drop(job: number): void {
    for (const sides of this.sides)
      for (const { begun, ahead } of [sides.dust, sides.open])
        for (const pool of [begun, ahead]) pool.drop(job)
  }

  /** The first stretch that shares a minute with [from, to) and forbids the operation the air of a place. */
  clash(operation: ModelOperation, place: number, from: number, to: number): Interval | undefined {
    const side = operation.air && this.sideOf(AGAINST[operation.air], place)
    if (!side || to <= from) return undefined
    const ahead = side.ahead.firstTaken(from, to)
    const begun = operation.begun ? undefined : side.begun.firstTaken(from, to)
    return begun && (!ahead || begun.from < ahead.from) ? begun : ahead
  }

  private sideOf(air: Air | undefined, place: number): Side | undefined {
    const at = this.airOf[place]
    return air === undefined || at === undefined ? undefined : this.sides[at]![air]
  }
}
