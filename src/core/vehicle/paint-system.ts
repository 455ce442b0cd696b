export const PAINT_SYSTEMS = ['clear-over-base', 'single-stage', 'matte', 'wrap', 'gelcoat'] as const
export type PaintSystem = (typeof PAINT_SYSTEMS)[number]

/** How to tell the systems apart at the car (common practice). */
export const PAINT_SYSTEM_GUIDE: Record<PaintSystem, { name: string; tell: string }> = {
  'clear-over-base': { name: 'Clear over base', tell: 'Nothing of the colour comes off on the pad.' },
  'single-stage': {
    name: 'Single stage',
    tell: 'The pad takes the colour of the car. There is no clear to spend.',
  },
  matte: { name: 'Matte or satin', tell: 'No sharp reflection. Never polish it.' },
  wrap: { name: 'Wrap or film', tell: 'Edges and seams in the door shuts. Not to be cut.' },
  gelcoat: {
    name: 'Gelcoat',
    tell: 'Caravans and motorhomes; chalks when old, and cannot be read by the gauge.',
  },
}

export const HARDNESSES = ['soft', 'medium', 'hard'] as const
export type Hardness = (typeof HARDNESSES)[number]
