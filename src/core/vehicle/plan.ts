import { bodyOf, type Shape } from './bodies'
import type { Backdrop } from './bodies/body'
import type { PanelKind } from './panel-kinds'
import { type PanelId, panelsOf } from './panels'

/**
 * The unfolded vehicle: nose to the left, roof strip in the middle, the left flank folded down below it and the
 * right flank folded up above, so that both roof edges meet the roof. Units are centimetres of the drawing.
 */

/** Something to draw: SVG path data, and for a panel where its number stands. */
export type PlanOutline = { path: string; label: { x: number; y: number } }

export type BodyPlan = {
  viewBox: { x: number; y: number; width: number; height: number }
  panels: Record<PanelId, PlanOutline>
  backdrop: PlanBackdrop[]
}

/** Scenery, and where it is a place of its own, the id of that place. */
export type PlanBackdrop = { kind: Backdrop['kind']; path: string; place?: string }

type Point = { x: number; y: number }
type Fold = { map: (point: Point) => Point; mirrored: boolean }

/** Space between the roof strip and the roof edge of a flank. */
const FOLD_GAP = 12
const MARGIN = 10

function folds(halfWidth: number): Record<'centre' | 'left' | 'right', Fold> {
  const edge = halfWidth + FOLD_GAP
  return {
    centre: { map: (point) => point, mirrored: false },
    left: { map: ({ x, y }) => ({ x, y: edge + y }), mirrored: false },
    right: { map: ({ x, y }) => ({ x, y: -edge - y }), mirrored: true },
  }
}

const round = (value: number) => Math.round(value * 10) / 10

/** Carries absolute M, L, Q, A and Z commands through a fold; mirroring turns the sweep of an arc round. */
function foldPath(path: string, fold: Fold): string {
  return path.replace(/([MLQA])([^MLQAZ]*)/g, (_, command: string, numbers: string) => {
    const values = numbers
      .trim()
      .split(/[\s,]+/)
      .map(Number)
    const point = (at: number) => {
      const { x, y } = fold.map({ x: values[at]!, y: values[at + 1]! })
      return `${round(x)},${round(y)}`
    }
    if (command !== 'A')
      return `${command}${values.flatMap((_v, at) => (at % 2 ? [] : [point(at)])).join(' ')}`
    const [rx, ry, turn, large, sweep] = values
    return `A${rx},${ry} ${turn} ${large} ${fold.mirrored ? 1 - sweep! : sweep} ${point(5)}`
  })
}

/** Scenery of one fold. A place on a flank has a side, unless the centre strip shows the same place too. */
function foldBackdrop(
  parts: readonly Backdrop[],
  fold: Fold,
  idOf: (place: string) => string,
): PlanBackdrop[] {
  return parts.map(({ kind, path, place }) => ({
    kind,
    path: foldPath(path, fold),
    ...(place ? { place: idOf(place) } : {}),
  }))
}

/** The plan of one body shape, every painted panel of it and what stands round them. */
export function bodyPlan(shape: Shape): BodyPlan {
  const body = bodyOf(shape)
  const fold = folds(body.halfWidth)
  const panels = Object.fromEntries(
    panelsOf(shape).map(({ id }): [PanelId, PlanOutline] => {
      const side = id.endsWith('-left') ? 'left' : id.endsWith('-right') ? 'right' : 'centre'
      const kind = id.replace(/-(left|right)$/, '') as PanelKind
      const drawn = body[side === 'centre' ? 'centre' : 'flank'][kind]!
      const returns = side === 'centre' ? body.returns[kind] : undefined
      const path = [
        foldPath(drawn.path, fold[side]),
        ...(returns ? [foldPath(returns, fold.left), foldPath(returns, fold.right)] : []),
      ].join(' ')
      return [id, { path, label: fold[side].map({ x: drawn.label[0], y: drawn.label[1] }) }]
    }),
  )
  const central = new Set<string | undefined>(body.centreBackdrop.map(({ place }) => place))
  const sided = (side: string) => (place: string) => (central.has(place) ? place : `${place}-${side}`)
  const reach = body.halfWidth + FOLD_GAP + body.height + MARGIN
  return {
    viewBox: {
      x: body.from - MARGIN,
      y: -reach,
      width: body.to - body.from + 2 * MARGIN,
      height: 2 * reach,
    },
    panels,
    backdrop: [
      ...foldBackdrop(body.flankBackdrop, fold.left, sided('left')),
      ...foldBackdrop(body.flankBackdrop, fold.right, sided('right')),
      ...foldBackdrop(body.centreBackdrop, fold.centre, (place) => place),
    ],
  }
}
