import { type LayerWindow, windowState } from '@/core/coating'
import type { Region } from '@/core/region'
import { unreachable } from '@/core/result'
import type { Instant } from '@/core/time'
import { duration, moment } from '@/text/formats'

/** What a layer's window means at this moment. */
export function windowText(window: LayerWindow, { region, now }: { region: Region; now: Instant }): string {
  const [opens, closes] = [moment(region, window.opens, now), moment(region, window.closes, now)]
  const state = windowState(window, now)
  switch (state.kind) {
    case 'not-yet':
      return `Not before ${opens}, not after ${closes}`
    case 'open':
      return `Window open until ${closes}`
    case 'missed':
      return `Window closed ${closes}: read the data sheet before recoating`
    default:
      return unreachable(state)
  }
}

/** How much the layer before a window may overrun, for it to be met as planned. */
export const spareText = (region: Region, minutes: number): string =>
  minutes === 0
    ? 'the layer before must not overrun'
    : `the layer before may overrun ${duration(region, minutes)}`
