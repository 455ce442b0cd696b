export const PAINT_SYSTEMS = [
  'clear-over-base',
  'single-stage',
  'matte',
  'wrap',
  'gelcoat',
  'bare-metal',
] as const
export type PaintSystem = (typeof PAINT_SYSTEMS)[number]

export const HARDNESSES = ['soft', 'medium', 'hard'] as const
export type Hardness = (typeof HARDNESSES)[number]
