import type { PanelPaint, Substrate } from '../vehicle'

/** What a pad meets, as far as methods differ by it. */
export const MATERIALS = [
  'clear',
  'single-solid',
  'single-metallic',
  'gelcoat',
  'painted-plastic',
  'gloss-plastic',
] as const
export type Material = (typeof MATERIALS)[number]

/** The material of a panel; undefined where there is none to polish: matte, a wrap, bare metal. */
export function materialOf({ system, finish }: PanelPaint, substrate: Substrate): Material | undefined {
  switch (system) {
    case 'gelcoat':
    case 'gloss-plastic':
      return system
    case 'single-stage':
      // Nobody has said whether there are flakes in it: it is taken for the one that can be spoiled.
      return finish === 'solid' ? 'single-solid' : 'single-metallic'
    case 'clear-over-base':
      return substrate === 'plastic' ? 'painted-plastic' : 'clear'
    default:
      return undefined
  }
}
