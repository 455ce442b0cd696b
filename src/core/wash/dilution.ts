import { ok, type Result, refused } from '../result'

/** Dilutions as the trade writes them: 1:N is one part of product to N parts of water. */

/** What to pour for a vessel, ml. */
export type Pour = { productMl: number; waterMl: number }

/** Share 0–1 of product in a mix of 1:N. */
export function shareOf(partsWater: number): number {
  return 1 / (partsWater + 1)
}

/** N of 1:N for a share 0–1 of product; infinite for none. */
export function partsWaterOf(share: number): number {
  return 1 / share - 1
}

/** What to pour for `totalMl` of a mix of 1:N, ml. */
export function pourFor(totalMl: number, partsWater: number): Pour {
  const productMl = totalMl * shareOf(partsWater)
  return { productMl, waterMl: totalMl - productMl }
}

/** Capfuls of product, for those who measure with the cap. */
export function capfuls(productMl: number, capMl: number): number {
  return productMl / capMl
}

/** A foam lance on its washer, as measured in the yard. */
export type Lance = {
  bottleMl: number
  /** How long the lance takes to empty its bottle filled with water, s. */
  emptySeconds: number
  /** Flow of the washer with the lance on it, l/min. */
  flowLPerMin: number
}

/** Share 0–1 of the flow that comes out of the bottle. */
export function drawnShare({ bottleMl, emptySeconds, flowLPerMin }: Lance): number {
  return bottleMl / 1000 / (emptySeconds / 60) / flowLPerMin
}

/**
 * Concentration that lands on the panel, 0–1: the product's share in the bottle times the share of the flow that
 * the lance draws from it (common practice).
 */
export function panelShare(lance: Lance, bottleShare: number): number {
  return bottleShare * drawnShare(lance)
}

export type LanceError =
  | { code: 'lance-not-measured' }
  | { code: 'lance-draws-too-little'; mostOnPanel: number }

/** The bottle that puts `wanted` (0–1) on the panel, ml; refused where not even neat product would. */
export function lanceBottle(lance: Lance, wanted: number): Result<Pour, LanceError> {
  const drawn = drawnShare(lance)
  if (!(drawn > 0 && Number.isFinite(drawn))) return refused({ code: 'lance-not-measured' })
  const share = wanted / drawn
  if (share > 1) return refused({ code: 'lance-draws-too-little', mostOnPanel: drawn })
  const productMl = share * lance.bottleMl
  return ok({ productMl, waterMl: lance.bottleMl - productMl })
}
