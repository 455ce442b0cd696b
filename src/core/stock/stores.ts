import type { Pad } from '../correction'
import type { StepName } from '../offer'
import { SUPPLY_KINDS, type SupplyKind } from '../supply'
import type { Instant } from '../time'
import type { Supply } from './supply'

/** What is used up beside coatings: liquids by the millilitre, masking tape by the metre; and pads and towels, which are washed. */

export const STORE_KEYS = [...SUPPLY_KINDS, 'tape'] as const
export type StoreKey = SupplyKind | 'tape'
/** Tape is counted in metres, everything else in millilitres. */
export const storeUnit = (key: StoreKey): 'm' | 'ml' => (key === 'tape' ? 'm' : 'ml')

/** What there is of one of them, as it was counted and used since; ml or m. */
export type Store = {
  key: StoreKey
  left: number
  /** Below this one orders. */
  orderBelow: number
  /** What the shop pays for a litre, or for ten metres, cents; nothing where it has not said. */
  cents: number
}

/** So much of it is one unit of its price. */
export const PRICED_BY: Record<'m' | 'ml', number> = { ml: 1000, m: 10 }

/** Pads of one kind and width, mm. */
export type PadSize = { pad: Pad; mm: number }

/** What a step takes of them. */
export type Takes = {
  stores: { key: StoreKey; amount: number }[]
  pads: (PadSize & { pieces: number })[]
  towels: number
}

/** A step that is still to come, with what it takes. */
export type ToCome = { takes: Takes; at: Instant; plate: string; title: StepName }

export type Step = Pick<ToCome, 'at' | 'plate' | 'title'>
export type Need<Of> = {
  of: Of
  /** Undefined where nobody has counted it. */
  left?: number
  needed: number
  /** The first step it does not reach to. */
  runsOutAt?: Step
  /** Below what the shop wants to have once the steps to come are done. */
  order: boolean
}

/** How far what is left reaches, in the order of time. */
function reach<Of>(
  of: Of,
  left: number | undefined,
  orderBelow: number,
  uses: readonly (Step & { amount: number })[],
): Need<Of> {
  const needed = uses.reduce((sum, { amount }) => sum + amount, 0)
  if (left === undefined) return { of, needed, order: false }
  let still = left
  const out = uses.find(({ amount }) => {
    still -= amount
    return still < 0
  })
  return {
    of,
    left,
    needed,
    ...(out ? { runsOutAt: { at: out.at, plate: out.plate, title: out.title } } : {}),
    order: left - needed < orderBelow || out !== undefined,
  }
}

const inTime = (steps: readonly ToCome[]) => steps.toSorted((a, b) => a.at.localeCompare(b.at))

/** What the steps to come take of liquids and tape: everything that is counted or needed, what runs out first in front. */
export function storeNeeds(stores: readonly Store[], steps: readonly ToCome[]): Need<StoreKey>[] {
  const known = new Map(stores.map((store) => [store.key, store]))
  const ordered = inTime(steps)
  const keys = new Set([
    ...known.keys(),
    ...ordered.flatMap(({ takes }) => takes.stores.map(({ key }) => key)),
  ])
  return [...keys]
    .map((key) => {
      const uses = ordered.flatMap(({ takes, ...step }) =>
        takes.stores.flatMap((each) => (each.key === key ? [{ ...step, amount: each.amount }] : [])),
      )
      const store = known.get(key)
      return reach(key, store?.left, store?.orderBelow ?? 0, uses)
    })
    .toSorted((a, b) => Number(b.order) - Number(a.order))
}

/** Pads of the kinds and widths that the steps to come take, against the clean and the dirty ones of their sets; washed, a pad is used again. */
export function padNeeds(supplies: readonly Supply[], steps: readonly ToCome[]): Need<PadSize>[] {
  const keyOf = ({ pad, mm }: PadSize) => `${pad} ${mm}`
  const sizes = new Map(steps.flatMap(({ takes }) => takes.pads.map((each) => [keyOf(each), each] as const)))
  const ordered = inTime(steps)
  return [...sizes.values()].map(({ pad, mm }) => {
    const own = supplies.filter((set) => set.of?.pad === pad && set.of.mm === mm)
    // A pad is washed overnight: what matters is the step that takes the most at once.
    const uses = ordered.flatMap(({ takes, ...step }) =>
      takes.pads.flatMap((each) =>
        keyOf(each) === keyOf({ pad, mm }) ? [{ ...step, amount: each.pieces }] : [],
      ),
    )
    const most = uses.reduce((top, { amount }) => Math.max(top, amount), 0)
    const there = own.length === 0 ? undefined : own.reduce((sum, { clean, dirty }) => sum + clean + dirty, 0)
    const first = uses.find(({ amount }) => there !== undefined && amount > there)
    return {
      of: { pad, mm },
      ...(there === undefined ? {} : { left: there }),
      needed: most,
      ...(first ? { runsOutAt: { at: first.at, plate: first.plate, title: first.title } } : {}),
      order: first !== undefined,
    }
  })
}

/** What was used, in money: cents by the price of each; undefined where nothing of it has a price. */
export function usedCents(
  used: readonly { key: StoreKey; amount: number }[],
  stores: readonly Store[],
): number | undefined {
  const priced = used.flatMap(({ key, amount }) => {
    const cents = stores.find((store) => store.key === key)?.cents ?? 0
    return cents > 0 ? [(amount / PRICED_BY[storeUnit(key)]) * cents] : []
  })
  return priced.length > 0 ? Math.round(priced.reduce((sum, cents) => sum + cents, 0)) : undefined
}
