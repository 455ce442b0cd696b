import type { Panel } from '../vehicle'
import type { PlannedOperation } from './job-plan'

/** A large vehicle is coated part by part: each gets all its layers before the next is wiped, and ends at a border of panels. */
export type CoatPart = { panels: string[]; areaM2: number; part?: LayerPart }
/** Which of so many parts, from 1. */
export type LayerPart = { at: number; of: number }

type Coated = Pick<Panel, 'id' | 'areaM2'>

/**
 * Into how many parts the paint is cut where its longest layer takes `wholeMinutes` of work and one person coats `aloneMinutes` at a stretch.
 * A single layer is applied by two. Several, each within the window of the one before, are applied by one person, in smaller parts:
 * two are seldom both here in the evening and again the next morning.
 */
export const partsFor = (wholeMinutes: number, aloneMinutes: number, layers: number): number =>
  Math.ceil(wholeMinutes / (layers > 1 ? aloneMinutes : 2 * aloneMinutes))

const areaOf = (panels: readonly Coated[]) => panels.reduce((sum, { areaM2 }) => sum + areaM2, 0)

/** The panels one after another, a new part begun where the next would make it larger than `mostM2`. */
function filled(panels: readonly Coated[], mostM2: number): Coated[][] {
  const parts: Coated[][] = []
  for (const panel of panels) {
    const own = parts.at(-1)
    if (own && areaOf([...own, panel]) <= mostM2) own.push(panel)
    else parts.push([panel])
  }
  return parts
}

/**
 * The panels in at most so many parts, in the order in which one walks round the car, with the largest part as small as it can be, m².
 * There are never more parts than panels, and none is empty.
 */
export function coatParts(panels: readonly Coated[], count: number): CoatPart[] {
  const sizes = panels.flatMap((_, from) =>
    panels.slice(from).map((__, to) => areaOf(panels.slice(from, from + to + 1))),
  )
  const least = sizes.toSorted((x, y) => x - y).find((mostM2) => filled(panels, mostM2).length <= count)
  const parts = filled(panels, least ?? 0)
  return parts.map((own, index) => ({
    panels: own.map(({ id }) => id),
    areaM2: areaOf(own),
    ...(parts.length > 1 ? { part: { at: index + 1, of: parts.length } } : {}),
  }))
}

/** The part an operation applies or wipes; undefined where it is done to all of it. */
export function partOfLayer(operation: Pick<PlannedOperation, 'title'> | undefined): LayerPart | undefined {
  const title = operation?.title
  return typeof title === 'object' && 'part' in title ? title.part : undefined
}

/** How much of its layer one operation applies, 0–1: all of it, the share of its part in the m² of all parts, or that of a panel done again. */
export function shareOfLayer(
  operation: PlannedOperation,
  operations: readonly PlannedOperation[],
  panels: readonly Coated[],
): number {
  const among = (ids: readonly string[] = []) => areaOf(panels.filter(({ id }) => ids.includes(id)))
  const { title } = operation
  if (typeof title === 'object' && title.code === 'again' && operation.panels)
    return among(operation.panels) / areaOf(panels)
  const alike = operations.filter(({ kind, layer }) => kind === operation.kind && layer === operation.layer)
  const parts = alike.filter(partOfLayer)
  if (!parts.includes(operation)) return 1
  return among(operation.panels) / among(parts.flatMap((part) => part.panels ?? []))
}
