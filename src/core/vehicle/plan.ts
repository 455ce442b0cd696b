import { type Backdrop, drawingOf } from './drawings'
import { type PanelId, panelsOf, type Shape } from './shapes'

/**
 * The unfolded vehicle: nose to the left, roof strip in the middle, the left flank folded down below it and the
 * right flank folded up above, so that both roof edges meet the roof. Units are centimetres of the drawing.
 */

/** Something to draw: SVG path data, and for a panel where its number stands. */
export type PlanOutline = { path: string; label: { x: number; y: number } }

export type BodyPlan = {
  viewBox: { x: number; y: number; width: number; height: number }
  panels: Record<PanelId, PlanOutline>
  backdrop: Backdrop[]
}

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

/** The plan of one body shape, every painted panel of it and what stands round them. */
export function bodyPlan(shape: Shape): BodyPlan {
  const drawing = drawingOf(shape)
  const fold = folds(drawing.halfWidth)
  const panels = Object.fromEntries(
    panelsOf(shape).map(({ id }): [PanelId, PlanOutline] => {
      const side = id.endsWith('-left') ? 'left' : id.endsWith('-right') ? 'right' : 'centre'
      const kind = id.replace(/-(left|right)$/, '')
      const drawn = drawing[side === 'centre' ? 'centre' : 'flank'][kind]!
      const returns = side === 'centre' ? drawing.returns[kind] : undefined
      const path = [
        foldPath(drawn.path, fold[side]),
        ...(returns ? [foldPath(returns, fold.left), foldPath(returns, fold.right)] : []),
      ].join(' ')
      return [id, { path, label: fold[side].map({ x: drawn.label[0], y: drawn.label[1] }) }]
    }),
  )
  const flankBackdrop = drawing.flankBackdrop.flatMap(({ kind, path }) => [
    { kind, path: foldPath(path, fold.left) },
    { kind, path: foldPath(path, fold.right) },
  ])
  const reach = drawing.halfWidth + FOLD_GAP + drawing.height + MARGIN
  return {
    viewBox: {
      x: drawing.from - MARGIN,
      y: -reach,
      width: drawing.to - drawing.from + 2 * MARGIN,
      height: 2 * reach,
    },
    panels,
    backdrop: [...flankBackdrop, ...drawing.centreBackdrop],
  }
}
