/** What a panel is like on any body shape (mem). */

export type Substrate = 'steel' | 'aluminium' | 'plastic' | 'composite'
export type Orientation = 'horizontal' | 'vertical'
export type Difficulty = 'flat' | 'curved' | 'intricate'

type PanelNature = {
  /** As it is called in the middle of a sentence; on a flank after “left” or “right”. */
  name: string
  substrate: Substrate
  orientation: Orientation
  /** How much a glance at the car falls on this panel: 1 for a door (mem). */
  visibility: number
  difficulty: Difficulty
}

const steel = (
  name: string,
  orientation: Orientation,
  visibility: number,
  difficulty: Difficulty,
): PanelNature => ({ name, substrate: 'steel', orientation, visibility, difficulty })
const plastic = (name: string, visibility: number): PanelNature => ({
  name,
  substrate: 'plastic',
  orientation: 'vertical',
  visibility,
  difficulty: 'intricate',
})
const composite = (name: string, orientation: Orientation, visibility: number): PanelNature => ({
  name,
  substrate: 'composite',
  orientation,
  visibility,
  difficulty: 'flat',
})

export const PANEL_NATURE = {
  bonnet: steel('bonnet', 'horizontal', 1.5, 'flat'),
  roof: steel('roof', 'horizontal', 0.8, 'flat'),
  'house-roof': composite('house roof', 'horizontal', 0.3),
  tailgate: steel('tailgate', 'vertical', 1.2, 'curved'),
  boot: steel('boot lid', 'horizontal', 1.2, 'curved'),
  'rear-doors': steel('rear doors', 'vertical', 1.1, 'flat'),
  'rear-wall': composite('rear wall', 'vertical', 1),
  'front-bumper': plastic('front bumper', 1.1),
  'rear-bumper': plastic('rear bumper', 0.9),
  'front-wing': steel('front wing', 'vertical', 1, 'curved'),
  door: steel('door', 'vertical', 1, 'flat'),
  'front-door': steel('front door', 'vertical', 1, 'flat'),
  'rear-door': steel('rear door', 'vertical', 1, 'flat'),
  'sliding-door': steel('sliding door', 'vertical', 1, 'flat'),
  quarter: steel('rear quarter', 'vertical', 1, 'curved'),
  'bed-side': steel('bed side', 'vertical', 1, 'curved'),
  'load-side': steel('load side', 'vertical', 1, 'flat'),
  overcab: composite('over the cab', 'vertical', 1),
  'house-side': composite('house side', 'vertical', 1),
  sill: steel('sill', 'vertical', 0.4, 'intricate'),
  skirt: plastic('skirt', 0.4),
  mirror: plastic('mirror cap', 0.6),
} as const satisfies Record<string, PanelNature>

export type PanelKind = keyof typeof PANEL_NATURE
