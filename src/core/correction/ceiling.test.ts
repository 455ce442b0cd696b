import { describe, expect, test } from 'vitest'
import { type Defect, judge } from '../survey'
import { isMetal, type PaintSystem, panelsOf } from '../vehicle'
import { ceilingOf } from './ceiling'
import type { ChoiceSettings } from './choose'
import { unprobed } from './group'
import { offered, strengthOf } from './method'
import { SEEDED_METHODS, seededMethod } from './seeded'
import { vehicleFrontier } from './vehicle-frontier'

const panels = panelsOf('saloon').filter(({ substrate }) => isMetal(substrate))
const swirls: Defect = { kind: 'swirls', severity: 3, extentPercent: 80, catchesNail: false }
const settings: ChoiceSettings = {
  methods: offered(SEEDED_METHODS),
  knowledge: unprobed('medium'),
  care: 'usual',
  strongest: 'two-step-wool',
  underCoating: true,
}

function ceiling(
  um: number,
  { paintSystem = 'clear-over-base', ...more }: Partial<ChoiceSettings> & { paintSystem?: PaintSystem } = {},
  defects: Defect[] = [swirls],
) {
  const { panels: judged } = judge({
    panels,
    paintSystem,
    school: 'gauge-guided',
    readings: Object.fromEntries(panels.map(({ id }) => [id, [um, um + 0.5, um - 0.5]])),
    defects: Object.fromEntries(panels.map(({ id }) => [id, defects])),
    inspected: panels.map(({ id }) => id),
  })
  return ceilingOf(vehicleFrontier(judged, { ...settings, ...more }).panels)
}

describe('why the curve ends where it ends', () => {
  test('thin paint ends it by its paint', () => expect(ceiling(80.5)).toBe('paint'))
  test('a test spot ends it where something milder was enough, and where more did harm', () => {
    const known = unprobed('medium')
    const tried = (key: string) => ({ key, strength: strengthOf(seededMethod(key)) })
    const metal = (more: object) => ({
      knowledge: { ...known, 'metal-original': { ...known['metal-original'], ...more } },
    })
    expect(ceiling(120, metal({ settled: tried('one-step-polish') }))).toBe('spot')
    expect(ceiling(120, metal({ tooMuch: [tried('one-step-cut')] }))).toBe('spot')
  })
  test('matte paint ends it by its rule', () => expect(ceiling(120, { paintSystem: 'matte' })).toBe('rule'))
  test('where every method is open, nothing stronger would show', () => {
    expect(ceiling(120)).toBe('nothing-more')
    expect(ceiling(120, {}, [])).toBe('nothing-more')
  })
})
