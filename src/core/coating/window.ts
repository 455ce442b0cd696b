import { type Instant, minutesBetween, plusMinutes } from '../time'
import type { Product } from './product'

/** When the layer after one of `product` may begin. */
export type LayerWindow = { opens: Instant; closes: Instant }

/** The window for the next layer, in elapsed time from the real end of this one. It does not care who is open. */
export function layerWindow(product: Product, layerEnded: Instant): LayerWindow {
  return {
    opens: plusMinutes(layerEnded, product.nextLayerMinutes.min),
    closes: plusMinutes(layerEnded, product.nextLayerMinutes.max),
  }
}

export type WindowState =
  | { kind: 'not-yet'; opensInMinutes: number }
  | { kind: 'open'; closesInMinutes: number }
  | { kind: 'missed'; sinceMinutes: number }

/** Where `now` stands in a window; both ends belong to it. */
export function windowState(window: LayerWindow, now: Instant): WindowState {
  if (now < window.opens) return { kind: 'not-yet', opensInMinutes: minutesBetween(now, window.opens) }
  if (now <= window.closes) return { kind: 'open', closesInMinutes: minutesBetween(now, window.closes) }
  return { kind: 'missed', sinceMinutes: minutesBetween(window.closes, now) }
}
