import { describe, expect, test } from 'vitest'
import { readIn } from '@/core/region'
import { DUBLIN, OHIO } from './region.fixture'
import { signOffLine } from './sign-off'

const french = readIn(DUBLIN, 'fr')
const german = readIn(DUBLIN, 'de')
const on = (...panels: string[]) => ({ panels, everywhere: false })

describe('what is signed reads as one would say it', () => {
  test('one panel and several', () => {
    expect(signOffLine(DUBLIN, { rule: 'repainted', ...on('front-wing-left') }).text).toBe(
      'The left front wing has been resprayed. Its colour and gloss may differ slightly from the rest of the car, before and after our work.',
    )
    expect(signOffLine(DUBLIN, { rule: 'repainted', ...on('bonnet', 'roof') }).text).toMatch(
      /^The bonnet and roof have been resprayed\. Their colour/,
    )
    expect(signOffLine(OHIO, { rule: 'repainted', ...on('bonnet', 'front-wing-left') }).text).toMatch(
      /^The hood and left front fender have been resprayed/,
    )
  })
  test('in French and German the parts stand before a colon, without an article', () => {
    const chips = { rule: 'chips-stay', ...on('bonnet', 'front-door-right') } as const
    expect(signOffLine(french, chips).text).toMatch(/^Capot et porte avant droite : les éclats/)
    expect(signOffLine(german, chips).text).toMatch(
      /^Motorhaube und Tür vorne rechts: Steinschläge bleiben\./,
    )
  })
  test('kinds are joined by the language, a comma before the last but one', () => {
    const kinds = ['swirls', 'haze', 'scratches'] as const
    const fact = { rule: 'softened-only', kinds: [...kinds], ...on('roof') } as const
    expect(signOffLine(DUBLIN, fact).text).toMatch(
      /^Swirls, haze and deep scratches on the roof will be reduced/,
    )
    expect(signOffLine(german, fact).text).toMatch(
      /^Dach: Swirls, Schleier und tiefe Kratzer werden gemildert/,
    )
  })
  test('a place beside the paint is part of the work or not, and needs whom', () => {
    const kerbed = {
      rule: 'beside-the-paint',
      place: 'wheel-front-right',
      defect: { kind: 'kerbed', severity: 2, note: 'at the valve' },
    } as const
    expect(signOffLine(DUBLIN, { ...kerbed, included: false }).text).toBe(
      'Right front wheel: kerb damage (at the valve). Already there when the car arrived and not part of this work. It needs a wheel refinisher.',
    )
    expect(signOffLine(DUBLIN, { ...kerbed, included: true }).text).toContain('treated as part of this work')
  })
})
