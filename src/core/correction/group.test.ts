import { expect, test } from 'vitest'
import { judge } from '../survey'
import { panelsOf } from '../vehicle'
import { planCorrection } from './choose'
import { PANEL_GROUPS, panelGroup, unprobed } from './group'
import { HARDNESS_GIVE, removalUm } from './process'

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

test('nothing known but the declared hardness holds for every group', () => {
  for (const group of PANEL_GROUPS) expect(unprobed('hard')[group].give).toBe(HARDNESS_GIVE.hard)
})

test('what was found of one group changes its panels and no others', () => {
  const plan = (knowledge: ReturnType<typeof unprobed>) =>
    planCorrection(judged.panels, {
      paintSystem: 'clear-over-base',
      knowledge,
      care: 'usual',
      strongest: 'one-step-cut',
      underCoating: true,
    })
  const option = (of: ReturnType<typeof plan>, id: string) =>
    of.panels.find(({ judged: { panel } }) => panel.id === id)!.option
  const before = plan(unprobed('medium'))
  const after = plan({ ...unprobed('medium'), 'metal-repainted': { give: 1.5, tooMuch: [] } })
  expect(option(after, 'bonnet')).toEqual(option(before, 'bonnet'))
  const door = option(after, 'front-door-left')
  expect(door.removalUm).toBeCloseTo(removalUm(door.process, 1.5), 9)
})
