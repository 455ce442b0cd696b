import type { Covering } from './panel-paint'
import type { Panel } from './panels'

/**
 * What can be worked on a car beside the panels of its drawing: easily missed, or not on every car. Somebody says that it is
 * there; from then on it is inspected, budgeted and worked like any panel. Areas and weights are of a middle-sized car (mem).
 */
export const PART_IDS = ['pillars', 'gloss-trim', 'handle-cups', 'hard-top', 'grille', 'spoiler'] as const
export type PartId = (typeof PART_IDS)[number]

type PartNature = Omit<Panel, 'id'> & { paint?: Covering }

const small = (
  name: string,
  areaM2: number,
  visibility: number,
  more: Partial<PartNature> = {},
): PartNature => ({
  name,
  areaM2,
  substrate: 'plastic',
  orientation: 'vertical',
  visibility,
  difficulty: 'intricate',
  ...more,
})

const PARTS: Record<PartId, PartNature> = {
  pillars: small('Pillars', 0.25, 0.8, { paint: 'gloss-plastic' }),
  'gloss-trim': small('Gloss-black trim', 0.2, 0.7, { paint: 'gloss-plastic' }),
  'handle-cups': small('Door-handle cups', 0.06, 0.5, { substrate: 'steel' }),
  'hard-top': small('Hard top', 1.6, 1, {
    substrate: 'steel',
    orientation: 'horizontal',
    difficulty: 'curved',
  }),
  grille: small('Grille', 0.25, 0.9, { paint: 'gloss-plastic' }),
  spoiler: small('Spoiler', 0.3, 0.7, { difficulty: 'curved' }),
}

export const isPart = (id: string): id is PartId => Object.hasOwn(PARTS, id)

/** The covering a part usually has; undefined where it is painted like its car. */
export const partPaint = (id: string): Covering | undefined => (isPart(id) ? PARTS[id].paint : undefined)

export function partPanel(id: PartId): Panel {
  const { paint: _, ...panel } = PARTS[id]
  return { ...panel, id }
}
