import { describe, expect, test } from 'vitest'
import { worklist } from '../card/worklist'
import { machineRoles } from './machine-roles'
import { makeOffer } from './offer'
import { offerInput, template } from './offer.fixture'

const offer = (polishing: 'step-by-step' | 'panel-by-panel') =>
  makeOffer(template('lantern'), offerInput({}, { polishing }))

describe('two schools of polishing', () => {
  const [whole, panelwise] = [offer('step-by-step'), offer('panel-by-panel')]
  const machine = ({ plan }: typeof whole) => plan.operations.filter((step) => machineRoles(step).length > 0)

  test('the whole car is cut and then refined, or each panel is finished in one step; minutes and price are the same', () => {
    expect(machine(whole).map(({ kind }) => kind)).toEqual(expect.arrayContaining(['cut', 'refine']))
    expect(machine(panelwise)).toHaveLength(1)
    const minutes = (each: typeof whole) => machine(each).reduce((sum, step) => sum + step.minutes, 0)
    expect(Math.abs(minutes(whole) - minutes(panelwise))).toBeLessThanOrEqual(10)
    expect(panelwise.machineMinutes).toBe(whole.machineMinutes)
  })
  test('the card lists every panel once, with all its steps', () => {
    const { correction } = panelwise
    const panels = correction.panels.map(({ judged }) => judged.panel)
    const work = Object.fromEntries(
      correction.panels.map(({ judged, option }) => [judged.panel.id, option.method]),
    )
    const { tasks, recipes } = worklist(machine(panelwise)[0]!, panels, work, 'usual')
    expect(new Set(tasks.map(({ panel }) => panel)).size).toBe(tasks.length)
    for (const { panel, recipe } of tasks) expect(recipe!.split(' ')).toHaveLength(work[panel]!.steps.length)
    for (const { id } of recipes)
      expect(tasks.some(({ recipe }) => recipe!.split(' ').includes(id))).toBe(true)
  })
})
