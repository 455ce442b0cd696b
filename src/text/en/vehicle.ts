import type { PaintSystem, Purpose, Storage, Treatment, Washing } from '@/core/vehicle'

/** How a vehicle lives and what its paint is, as staff ask about it. */

export const PURPOSE: Record<Purpose, { name: string; means: string }> = {
  daily: { name: 'Daily use', means: 'Lasting and easy to wash.' },
  show: { name: 'Show', means: 'Everything the paint can safely give.' },
  sale: { name: 'About to be sold', means: 'The bare minimum that lifts the first impression.' },
  new: { name: 'Newly bought', means: 'New is not swirl-free: transport dust and dealer washing mark it.' },
  'lease-end': { name: 'End of lease', means: 'What the return inspection would charge for.' },
}

export const STORAGE_NAME: Record<Storage, string> = {
  unknown: 'Not asked',
  garage: 'Garage',
  carport: 'Carport',
  street: 'Street',
}

export const WASHING_NAME: Record<Washing, string> = {
  unknown: 'Not asked',
  hand: 'By hand',
  touchless: 'Touchless',
  brush: 'Brush wash',
}

export const TREATMENT: Record<Treatment, { name: string; means: string }> = {
  wax: { name: 'Wax', means: 'Comes off with the decontamination.' },
  sealant: { name: 'Sealant', means: 'Comes off with the decontamination or a light polish.' },
  coating: { name: 'Coating', means: 'Must come off the way its maker says before a new one goes on.' },
  film: { name: 'Film', means: 'It is not polished; a coating goes over film, never under.' },
  respray: {
    name: 'Respray',
    means: 'Measure that panel separately; let fresh paint gas out as its maker says.',
  },
  polish: {
    name: 'Machine polish',
    means: 'Some paint has been removed already. Enter it in the ledger if anybody knows how much.',
  },
}

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
    tell: 'No paint comes off on the pad.',
    test: 'Rub a hidden spot with polish on a white cloth: the cloth stays white, or takes only dirt.',
    consequence: 'The clear coat can be polished, within its budget. Usual from the 1990s on.',
  },
  'single-stage': {
    name: 'Single stage',
    tell: 'Paint of the car comes off on the pad. There is no clear coat.',
    test: 'Rub a hidden spot with polish on a white cloth: the cloth takes the paint of the car.',
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
    tell: 'Edges and seams in the door shuts. Not to be polished.',
    test: 'Open a door: the film ends at an edge you can feel with a nail.',
    consequence: 'Clean and protect. The paint beneath cannot be judged.',
  },
  gelcoat: {
    name: 'Gelcoat',
    tell: 'Caravans and motorhomes; chalks when old, and cannot be measured by the gauge.',
    test: 'Stroke it with a dark cloth: old gelcoat leaves white chalk, and a gauge gives no reading.',
    consequence: 'Thick, but its depth is unknown here: mildest method that works.',
  },
  'bare-metal': {
    name: 'Bare metal',
    tell: 'Polished or brushed metal without any paint.',
    test: 'A gauge set on it reads nothing or next to nothing.',
    consequence: 'No paint to spend. Metal polish and its own protection, never a polish for paint.',
  },
}
