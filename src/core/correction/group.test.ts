import { expect, test } from 'vitest'
import { judge } from '../survey'
import type { LocalDay } from '../time'
import { panelsOf } from '../vehicle'
import { planCorrection } from './choose'
import { PANEL_GROUPS, panelGroup, unprobed } from './group'
import { HARDNESS_GIVE, offered, removalUm } from './method'
import { SEEDED_METHODS } from './seeded'

const panels = panelsOf('hatchback')
const judged = judge({
  panels,
  paintSystem: 'clear-over-base',
  school: 'both',
  readings: {
    ...Object.fromEntries(
      panels.filter(({ substrate }) => substrate === 'steel').map(({ id }) => [id, [118, 120, 119]]),
    ),
    'front-door-left': [232, 230, 229],
  },
  defects: {
    bonnet: [{ kind: 'swirls', severity: 2, extentPercent: 60, catchesNail: false }],
    'front-door-left': [{ kind: 'swirls', severity: 2, extentPercent: 60, catchesNail: false }],
  },
  films: ['roof'],
})
const groupOf = (id: string) => panelGroup(judged.panels.find(({ panel }) => panel.id === id)!)

test('panels that answer the pad alike belong together', () => {
  expect(groupOf('bonnet')).toBe('metal-original')
  expect(groupOf('front-door-left')).toBe('metal-repainted')
  expect(groupOf('front-bumper')).toBe('plastic')
  expect(groupOf('roof')).toBe('other')
})

test('gelcoat, gloss-black plastic and what was sprayed since are groups of their own', () => {
  const { panels: other } = judge({
    panels,
    paintSystem: 'clear-over-base',
    school: 'both',
    readings: {},
    defects: {},
    facts: {
      roof: { paint: 'gelcoat', substrate: 'composite' },
      bonnet: { sprayedOn: '2026-11-17' as LocalDay },
      'mirror-left': { paint: 'gloss-plastic' },
    },
  })
  const own = (id: string) => panelGroup(other.find(({ panel }) => panel.id === id)!)
  expect([own('roof'), own('bonnet'), own('mirror-left')]).toEqual([
    'gelcoat',
    'metal-repainted',
    'gloss-plastic',
  ])
})

test('nothing known but the declared hardness holds for every group', () => {
  for (const group of PANEL_GROUPS) expect(unprobed('hard')[group].give).toBe(HARDNESS_GIVE.hard)
})

test('what was found of one group changes its panels and no others', () => {
  const plan = (knowledge: ReturnType<typeof unprobed>) =>
    planCorrection(judged.panels, {
      methods: offered(SEEDED_METHODS),
      knowledge,
      care: 'usual',
      strongest: 'one-step-cut',
      underCoating: true,
    })
  const option = (of: ReturnType<typeof plan>, id: string) =>
    of.panels.find(({ judged: { panel } }) => panel.id === id)!.option
  const before = plan(unprobed('medium'))
  const after = plan({
    ...unprobed('medium'),
    'metal-repainted': { ...unprobed('medium')['metal-repainted'], give: 1.5 },
  })
  expect(option(after, 'bonnet')).toEqual(option(before, 'bonnet'))
  const door = option(after, 'front-door-left')
  expect(door.removalUm).toBeCloseTo(removalUm(door.method, 1.5), 9)
})
