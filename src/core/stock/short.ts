import type { ProductId } from '../ids'
import type { LocalDay } from '../time'
import { type Bottle, bottleState, isUsable } from './bottle'
import type { Store, StoreKey } from './stores'

/** What there is by the last count, ml: of coatings what is still good and what is past it, of liquids what is left. */
export type OnShelf = {
  /** Undefined where the shop keeps no bottles in the book. */
  products?: Readonly<Record<string, { goodMl: number; pastMl: number }>>
  /** Only what somebody counts. */
  liquids: Readonly<Partial<Record<StoreKey, number>>>
}

export function onShelf(
  bottles: readonly Bottle[],
  stores: readonly Pick<Store, 'key' | 'left'>[],
  catalogue: readonly { id: ProductId; shelfLifeMonths: { open: number; closed: number } }[],
  today: LocalDay,
): OnShelf {
  const liquids = Object.fromEntries(stores.map(({ key, left }) => [key, left]))
  if (bottles.length === 0) return { liquids }
  const products = catalogue.map((product) => {
    const own = bottles.filter(({ productId }) => productId === product.id)
    const sum = (holds: (state: ReturnType<typeof bottleState>) => boolean) =>
      own
        .filter((bottle) => holds(bottleState(bottle, product, today)))
        .reduce((total, { leftMl }) => total + leftMl, 0)
    return [product.id, { goodMl: sum(isUsable), pastMl: sum((state) => state === 'past') }] as const
  })
  return { products: Object.fromEntries(products), liquids }
}

/** Something a job takes more of than there is, ml; `pastMl` of it stands there and is too old. */
export type Short<Of> = { of: Of; neededMl: number; leftMl: number; pastMl: number }

/** What is to be ordered before a job can be done, of its coats and of its liquids. */
export function shortFor<Coat extends { id: ProductId }, Liquid extends { kind: StoreKey; ml?: number }>(
  coats: readonly { product: Coat; ml: number }[],
  poured: readonly Liquid[],
  { products, liquids }: OnShelf,
): { coats: Short<Coat>[]; liquids: Short<Liquid>[] } {
  return {
    coats: coats.flatMap(({ product, ml }) => {
      const { goodMl, pastMl } = products?.[product.id] ?? { goodMl: 0, pastMl: 0 }
      return products && goodMl < ml ? [{ of: product, neededMl: ml, leftMl: goodMl, pastMl }] : []
    }),
    liquids: poured.flatMap((liquid) => {
      const [left, ml] = [liquids[liquid.kind], liquid.ml]
      return left !== undefined && ml !== undefined && left < ml
        ? [{ of: liquid, neededMl: ml, leftMl: left, pastMl: 0 }]
        : []
    }),
  }
}
