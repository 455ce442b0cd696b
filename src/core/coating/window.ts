import { type Instant, minutesBetween, plusMinutes } from '../time'

/** When the layer after another may begin; both ends belong to it. */
export type LayerWindow = { opens: Instant; closes: Instant }

/**
 * The window that opens `minutes.min` and closes `minutes.max` elapsed minutes after a layer really ended. It does
 * not care who is open, nor whether the clocks change in between.
 */
export function windowAfter(ended: Instant, minutes: { min: number; max: number }): LayerWindow {
  return { opens: plusMinutes(ended, minutes.min), closes: plusMinutes(ended, minutes.max) }
}

export type WindowState =
  | { kind: 'not-yet'; opensInMinutes: number }
  | { kind: 'open'; closesInMinutes: number }
  | { kind: 'missed'; sinceMinutes: number }

/** Where `now` stands in a window. */
export function windowState(window: LayerWindow, now: Instant): WindowState {
  if (now < window.opens) return { kind: 'not-yet', opensInMinutes: minutesBetween(now, window.opens) }
  if (now <= window.closes) return { kind: 'open', closesInMinutes: minutesBetween(now, window.closes) }
  return { kind: 'missed', sinceMinutes: minutesBetween(window.closes, now) }
}
