import type { PanelKind } from '../panel-kinds'
import type { PlaceKind } from '../place-kinds'

/**
 * One body shape: our own drawing of it in centimetres, with the painted area of every panel, m² (mem). A flank is
 * drawn nose to the left with y counted down from the roof line; the centre strip runs along the x axis.
 */
export type Body = {
  /** Extent of the centre strip along x. */
  from: number
  to: number
  /** Where the flank ends. */
  length: number
  halfWidth: number
  /** From the roof line to the ground. */
  height: number
  /** From the nose to the tail. */
  centre: Partial<Record<PanelKind, DrawnPanel>>
  flank: Partial<Record<PanelKind, DrawnPanel>>
  /** The parts of a bumper that wrap round onto the flanks. */
  returns: Partial<Record<PanelKind, string>>
  /** Panels of aluminium where the maker used it instead of steel. */
  aluminium?: readonly PanelKind[]
  flankBackdrop: Backdrop[]
  centreBackdrop: Backdrop[]
}

export type DrawnPanel = { areaM2: number; path: string; label: readonly [number, number] }

/** What stands round the panels and is not measured; some of it is a place where something can be wrong. */
export type Backdrop = {
  kind: 'shell' | 'glass' | 'wheel' | 'rim' | 'lamp' | 'bed' | 'fabric' | 'line'
  path: string
  place?: PlaceKind
}
