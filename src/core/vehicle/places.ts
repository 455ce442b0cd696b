import type { Body } from './bodies/body'

/** Places on a vehicle that are not painted panels but can be dirty, broken or worn all the same. */

export const PLACE_SURFACES = ['wheel', 'glass', 'light', 'fabric', 'bed', 'interior', 'trim'] as const
export type PlaceSurface = (typeof PLACE_SURFACES)[number]

const PLACE_NATURE = {
  'wheel-front': { name: 'front wheel', surface: 'wheel' },
  'wheel-rear': { name: 'rear wheel', surface: 'wheel' },
  headlamp: { name: 'headlamp', surface: 'light' },
  'tail-lamp': { name: 'tail lamp', surface: 'light' },
  'side-glass': { name: 'side glass', surface: 'glass' },
  windscreen: { name: 'windscreen', surface: 'glass' },
  'rear-glass': { name: 'rear window', surface: 'glass' },
  'glass-roof': { name: 'glass roof', surface: 'glass' },
  'soft-top': { name: 'soft top', surface: 'fabric' },
  'load-bed': { name: 'load bed', surface: 'bed' },
  'trim-and-seals': { name: 'trim and seals', surface: 'trim' },
  interior: { name: 'interior', surface: 'interior' },
} as const satisfies Record<string, { name: string; surface: PlaceSurface }>

export type PlaceKind = keyof typeof PLACE_NATURE
export type Place = { id: string; name: string; surface: PlaceSurface; drawn: boolean }

/** Parts that go round the whole car or lie inside it, and are therefore on no drawing. */
const UNDRAWN = ['trim-and-seals', 'interior'] as const satisfies PlaceKind[]

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
