/**
 * Body shapes as lists of panels. Areas are of the painted outer surface, measured on our own drawings and
 * rounded (mem); together they come to the 9 m² or so of a middle-sized car (mem).
 */

export const SHAPES = ['hatchback', 'estate', 'pickup'] as const
export type Shape = (typeof SHAPES)[number]

export type Substrate = 'steel' | 'aluminium' | 'plastic'
export type Orientation = 'horizontal' | 'vertical'
export type Difficulty = 'flat' | 'curved' | 'intricate'

export type PanelId = string

export type Panel = {
  id: PanelId
  name: string
  areaM2: number
  substrate: Substrate
  orientation: Orientation
  /** How much a glance at the car falls on this panel: 1 for a door (mem). */
  visibility: number
  difficulty: Difficulty
}

type PanelKind = Omit<Panel, 'id' | 'name' | 'areaM2'>

/** What a panel is like on any body shape (mem). */
const KIND: Record<string, PanelKind> = {
  bonnet: { substrate: 'steel', orientation: 'horizontal', visibility: 1.5, difficulty: 'flat' },
  roof: { substrate: 'steel', orientation: 'horizontal', visibility: 0.8, difficulty: 'flat' },
  tailgate: { substrate: 'steel', orientation: 'vertical', visibility: 1.2, difficulty: 'curved' },
  'front-bumper': { substrate: 'plastic', orientation: 'vertical', visibility: 1.1, difficulty: 'intricate' },
  'rear-bumper': { substrate: 'plastic', orientation: 'vertical', visibility: 0.9, difficulty: 'intricate' },
  'front-wing': { substrate: 'steel', orientation: 'vertical', visibility: 1, difficulty: 'curved' },
  'front-door': { substrate: 'steel', orientation: 'vertical', visibility: 1, difficulty: 'flat' },
  'rear-door': { substrate: 'steel', orientation: 'vertical', visibility: 1, difficulty: 'flat' },
  quarter: { substrate: 'steel', orientation: 'vertical', visibility: 1, difficulty: 'curved' },
  'bed-side': { substrate: 'steel', orientation: 'vertical', visibility: 1, difficulty: 'curved' },
  sill: { substrate: 'steel', orientation: 'vertical', visibility: 0.4, difficulty: 'intricate' },
  mirror: { substrate: 'plastic', orientation: 'vertical', visibility: 0.6, difficulty: 'intricate' },
}

/** Metal the maker used instead of steel, by shape. */
const ALUMINIUM: Partial<Record<Shape, readonly PanelId[]>> = { estate: ['bonnet'] }

const CENTRE_AREA_M2: Record<Shape, Record<string, number>> = {
  hatchback: { bonnet: 1.1, roof: 1.3, tailgate: 0.65, 'front-bumper': 0.6, 'rear-bumper': 0.6 },
  estate: { bonnet: 1.2, roof: 1.9, tailgate: 0.75, 'front-bumper': 0.65, 'rear-bumper': 0.6 },
  pickup: { bonnet: 1.4, roof: 1.3, tailgate: 0.7, 'front-bumper': 0.7, 'rear-bumper': 0.35 },
}

/** Of one side of the car. */
const SIDE_AREA_M2: Record<Shape, Record<string, number>> = {
  hatchback: {
    'front-wing': 0.4,
    'front-door': 0.65,
    'rear-door': 0.55,
    quarter: 0.5,
    sill: 0.12,
    mirror: 0.04,
  },
  estate: {
    'front-wing': 0.42,
    'front-door': 0.66,
    'rear-door': 0.62,
    quarter: 0.75,
    sill: 0.13,
    mirror: 0.04,
  },
  pickup: {
    'front-wing': 0.5,
    'front-door': 0.7,
    'rear-door': 0.55,
    'bed-side': 0.85,
    sill: 0.15,
    mirror: 0.06,
  },
}

const NAME: Record<string, string> = {
  bonnet: 'Bonnet',
  roof: 'Roof',
  tailgate: 'Tailgate',
  'front-bumper': 'Front bumper',
  'rear-bumper': 'Rear bumper',
  'front-wing': 'front wing',
  'front-door': 'front door',
  'rear-door': 'rear door',
  quarter: 'rear quarter',
  'bed-side': 'bed side',
  sill: 'sill',
  mirror: 'mirror cap',
}

function panel(shape: Shape, kind: string, side: 'left' | 'right' | undefined, areaM2: number): Panel {
  const id = side ? `${kind}-${side}` : kind
  const substrate = ALUMINIUM[shape]?.includes(id) ? 'aluminium' : KIND[kind]!.substrate
  const name = side ? `${side === 'left' ? 'Left' : 'Right'} ${NAME[kind]}` : NAME[kind]!
  return { ...KIND[kind]!, id, name, areaM2, substrate }
}

/**
 * The order one walks round a car with a gauge: from the nose down its right flank, across the tail, forward
 * along the left flank, and the roof last, from the step.
 */
export function panelsOf(shape: Shape): Panel[] {
  const centre = (kind: string) => panel(shape, kind, undefined, CENTRE_AREA_M2[shape][kind]!)
  const flank = (side: 'left' | 'right') =>
    Object.entries(SIDE_AREA_M2[shape]).map(([kind, areaM2]) => panel(shape, kind, side, areaM2))
  return [
    centre('bonnet'),
    ...flank('right'),
    centre('rear-bumper'),
    centre('tailgate'),
    ...flank('left').reverse(),
    centre('front-bumper'),
    centre('roof'),
  ]
}

export function isShape(text: string): text is Shape {
  return (SHAPES as readonly string[]).includes(text)
}

export function isMetal(substrate: Substrate): boolean {
  return substrate === 'steel' || substrate === 'aluminium'
}

/** m², all painted panels. */
export function paintedAreaM2(shape: Shape): number {
  return panelsOf(shape).reduce((total, { areaM2 }) => total + areaM2, 0)
}
