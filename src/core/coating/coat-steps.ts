import type { Product, Surface } from './product'
import type { CoatingPlan } from './rules'
import { surfaceAreaM2 } from './surface'

/** One coat of a plan as the person who applies it needs it: how much, when the next, and what then must wait. */
export type CoatStep = {
  surface: Surface
  product: Product
  /** From 1 on its surface. */
  layer: number
  ml: number
  /** The next layer on this surface: no earlier and no later, minutes after this one has ended. */
  next?: { min: number; max: number }
}

/** Every coat of a plan, the paint first, and the bottles each product takes. */
export function coatSteps({
  layers,
  surfaces,
  areaM2,
}: Pick<CoatingPlan, 'layers' | 'surfaces' | 'areaM2'>): {
  steps: CoatStep[]
  bottles: { product: Product; ml: number; bottles: number }[]
} {
  const onPaint = layers.map(
    (product, at): CoatStep => ({
      surface: 'paint',
      product,
      layer: at + 1,
      ml: product.mlPerM2 * areaM2,
      ...(at < layers.length - 1 ? { next: product.nextLayerMinutes } : {}),
    }),
  )
  const beside = surfaces.map(
    ({ surface, product }): CoatStep => ({
      surface,
      product,
      layer: 1,
      ml: product.mlPerM2 * surfaceAreaM2(surface, areaM2),
    }),
  )
  const steps = [...onPaint, ...beside]
  const byProduct = new Map<Product, number>()
  for (const { product, ml } of steps) byProduct.set(product, (byProduct.get(product) ?? 0) + ml)
  return {
    steps,
    bottles: [...byProduct].map(([product, ml]) => ({
      product,
      ml: Math.ceil(ml),
      // A layer is not applied from half a bottle: whole ones are opened.
      bottles: Math.ceil(ml / product.bottleMl),
    })),
  }
}
