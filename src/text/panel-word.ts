import type { PanelKind, PartId, PlaceKind } from '@/core/vehicle'

export type Side = 'left' | 'right'

/** What panels and places of a car are called, by kind; which side they are on is for the language to add. */
export type PanelWords = {
  name: Record<PanelKind | PlaceKind | PartId, string>
  onSide: (kind: PanelKind | PlaceKind | PartId, name: string, side: Side) => string
}

const SIDED = /^(.+)-(left|right)$/

/** The name of a panel or place from its id, such as `front-door-left`, as it stands in the middle of a sentence. */
export function panelWordIn({ name, onSide }: PanelWords, id: string): string {
  const known = (kind: string): kind is PanelKind | PlaceKind | PartId => Object.hasOwn(name, kind)
  if (known(id)) return name[id]
  const [, kind, side] = SIDED.exec(id) ?? []
  return kind && known(kind) ? onSide(kind, name[kind], side as Side) : id
}
