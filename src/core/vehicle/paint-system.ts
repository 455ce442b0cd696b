export const PAINT_SYSTEMS = [
  'clear-over-base',
  'single-stage',
  'matte',
  'wrap',
  'gelcoat',
  'bare-metal',
] as const
export type PaintSystem = (typeof PAINT_SYSTEMS)[number]

type Guide = {
  name: string
  tell: string
  /** What to do at the car when one is not sure. */
  test: string
  consequence: string
}

/** How to tell the systems apart at the car, and what each means for the work (common practice). */
export const PAINT_SYSTEM_GUIDE: Record<PaintSystem, Guide> = {
  'clear-over-base': {
    name: 'Clear over base',
    tell: 'Nothing of the colour comes off on the pad.',
    test: 'Rub a hidden spot with polish on a white cloth: the cloth stays white or turns grey with dirt.',
    consequence: 'The clear can be cut, within its budget. Usual from the 1990s on.',
  },
  'single-stage': {
    name: 'Single stage',
    tell: 'The pad takes the colour of the car. There is no clear to spend.',
    test: 'Rub a hidden spot with polish on a white cloth: the cloth takes the colour of the car.',
    consequence: 'No wool and no rotary; no strong alcohol and no strong solvent afterwards.',
  },
  matte: {
    name: 'Matte or satin',
    tell: 'No sharp reflection. Never polish it.',
    test: 'Hold a lamp over it: the reflection is a soft glow without an edge.',
    consequence: 'Wash and decontaminate only; protect with a product made for matte.',
  },
  wrap: {
    name: 'Wrap or film',
    tell: 'Edges and seams in the door shuts. Not to be cut.',
    test: 'Open a door: the colour ends at an edge you can feel with a nail.',
    consequence: 'Clean and protect. The paint beneath cannot be judged.',
  },
  gelcoat: {
    name: 'Gelcoat',
    tell: 'Caravans and motorhomes; chalks when old, and cannot be read by the gauge.',
    test: 'Stroke it with a dark cloth: old gelcoat leaves white chalk, and a gauge gives no reading.',
    consequence: 'Thick, but its depth is unknown here: mildest method that works.',
  },
  'bare-metal': {
    name: 'Bare metal',
    tell: 'Polished or brushed metal without any paint.',
    test: 'A gauge set on it reads nothing or next to nothing.',
    consequence: 'No paint to spend. Metal polish and its own protection, never a paint process.',
  },
}

export const HARDNESSES = ['soft', 'medium', 'hard'] as const
export type Hardness = (typeof HARDNESSES)[number]
