import { bodyOf, type Shape } from './bodies'
import {
  type Difficulty,
  type Orientation,
  PANEL_NATURE,
  type PanelKind,
  type Substrate,
} from './panel-kinds'
import { capital, type Place, placesOfBody } from './places'

/** Body shapes as lists of panels. A middle-sized car has about 9 m² of paint (mem). */

export type PanelId = string

export type Panel = {
  id: PanelId
  name: string
  areaM2: number
  substrate: Substrate
  orientation: Orientation
  /** How much a glance at the car falls on this panel: 1 for a door (mem). */
  visibility: number
  difficulty: Difficulty
}

type Side = 'left' | 'right'

function panel(shape: Shape, kind: PanelKind, side: Side | undefined): Panel {
  const body = bodyOf(shape)
  const { areaM2 } = (side ? body.flank : body.centre)[kind]!
  const nature = PANEL_NATURE[kind]
  return {
    ...nature,
    id: side ? `${kind}-${side}` : kind,
    name: capital(side ? `${side} ${nature.name}` : nature.name),
    areaM2,
    substrate: body.aluminium?.includes(kind) ? 'aluminium' : nature.substrate,
  }
}

/**
 * The order one walks round a car with a gauge: from the nose down its right flank, across the tail, forward
 * along the left flank, and the roof last, from the step.
 */
export function panelsOf(shape: Shape): Panel[] {
  const body = bodyOf(shape)
  const centre = Object.keys(body.centre) as PanelKind[]
  const flank = Object.keys(body.flank) as PanelKind[]
  const overhead = centre.filter((kind) => kind === 'roof' || kind === 'house-roof')
  const tail = centre.filter((kind) => !['bonnet', 'front-bumper', ...overhead].includes(kind)).reverse()
  return [
    panel(shape, 'bonnet', undefined),
    ...flank.map((kind) => panel(shape, kind, 'right')),
    ...tail.map((kind) => panel(shape, kind, undefined)),
    ...flank.toReversed().map((kind) => panel(shape, kind, 'left')),
    panel(shape, 'front-bumper', undefined),
    ...overhead.map((kind) => panel(shape, kind, undefined)),
  ]
}

/** Wheels, glass, lights, soft top, interior: what is looked at but has no film to read. */
export function placesOf(shape: Shape): Place[] {
  return placesOfBody(bodyOf(shape))
}

export function isMetal(substrate: Substrate): boolean {
  return substrate === 'steel' || substrate === 'aluminium'
}

/** m², all painted panels. */
export function paintedAreaM2(shape: Shape): number {
  return panelsOf(shape).reduce((total, { areaM2 }) => total + areaM2, 0)
}
