import type { Body } from './bodies/body'
import { PLACE_NATURE, type PlaceKind, type PlaceSurface } from './place-kinds'

export type Place = { id: string; name: string; surface: PlaceSurface; drawn: boolean }

/** Parts that go round the whole car or lie inside it, and are therefore on no drawing. */
const UNDRAWN = ['trim-and-seals', 'chrome', 'interior'] as const satisfies PlaceKind[]

export const capital = (text: string) => text[0]!.toUpperCase() + text.slice(1)

/** The places of a body: centre line first, then the flanks, then what is not drawn. */
export function placesOfBody(body: Body): Place[] {
  const kinds = (backdrop: Body['centreBackdrop']) => [
    ...new Set(backdrop.flatMap(({ place }) => (place ? [place] : []))),
  ]
  const centre = kinds(body.centreBackdrop)
  const flank = kinds(body.flankBackdrop).filter((kind) => !centre.includes(kind))
  const place = (kind: PlaceKind, drawn: boolean, side?: 'left' | 'right'): Place => ({
    id: side ? `${kind}-${side}` : kind,
    name: capital(side ? `${side} ${PLACE_NATURE[kind].name}` : PLACE_NATURE[kind].name),
    surface: PLACE_NATURE[kind].surface,
    drawn,
  })
  return [
    ...centre.map((kind) => place(kind, true)),
    ...flank.flatMap((kind) => [place(kind, true, 'right'), place(kind, true, 'left')]),
    ...UNDRAWN.map((kind) => place(kind, false)),
  ]
}
