/** Places on a vehicle that are not painted panels but can be dirty, broken or worn all the same. */

export const PLACE_SURFACES = [
  'wheel',
  'glass',
  'light',
  'fabric',
  'bed',
  'interior',
  'trim',
  'chrome',
] as const
export type PlaceSurface = (typeof PLACE_SURFACES)[number]

export const PLACE_NATURE = {
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
  chrome: { name: 'chrome', surface: 'chrome' },
  interior: { name: 'interior', surface: 'interior' },
} as const satisfies Record<string, { name: string; surface: PlaceSurface }>

export type PlaceKind = keyof typeof PLACE_NATURE
