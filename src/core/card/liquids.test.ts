import { expect, test } from 'vitest'
import { SEEDED_SUPPLIES } from '../supply'
import { panelsOf } from '../vehicle'
import { liquidsAt } from './liquids'
import type { MachineRecipe } from './worklist'

const panels = panelsOf('saloon')
const recipe = (liquid: MachineRecipe['liquid'], ids: string[]) => ({ liquid, panels: ids }) as MachineRecipe
const bonnetM2 = panels.find(({ id }) => id === 'bonnet')!.areaM2
const at = { recipes: [], panels, supplies: SEEDED_SUPPLIES, singleStage: [] }
const wipe = { kind: 'wipe', title: { code: 'wipe' } } as const

test('a step at the machine tells each bottle once, with what its panels take', () => {
  const recipes = [
    recipe('heavy-compound', ['bonnet']),
    recipe('heavy-compound', ['bonnet', 'roof']),
    recipe('finishing-polish', ['bonnet']),
    recipe('water', ['roof']),
  ]
  const liquids = liquidsAt({ kind: 'polish', title: { code: 'polish' } }, { ...at, recipes })
  expect(liquids.map(({ kind }) => kind)).toEqual(['compound', 'finishing-polish'])
  const roofM2 = panels.find(({ id }) => id === 'roof')!.areaM2
  expect(liquids[0]!.ml).toBeCloseTo(8 * (bonnetM2 + roofM2), 6)
  expect(liquids[1]!.ml).toBeCloseTo(5 * bonnetM2, 6)
})

test('panel wipe goes on the panels of its step, and a strong one is warned of where paint is single stage', () => {
  const strong = SEEDED_SUPPLIES.map((each) =>
    each.kind === 'prep' ? { ...each, name: 'Slip Wipe', solvent: 'strong' as const } : each,
  )
  const [poured] = liquidsAt(
    { ...wipe, panels: ['bonnet'] },
    { ...at, supplies: strong, singleStage: ['bonnet'] },
  )
  expect(poured).toEqual({ kind: 'prep', name: 'Slip Wipe', ml: 12 * bonnetM2, bites: true })
  expect(
    liquidsAt({ ...wipe, panels: ['bonnet'] }, { ...at, supplies: strong, singleStage: ['roof'] })[0]!.bites,
  ).toBeUndefined()
  expect(liquidsAt(wipe, { ...at, singleStage: ['bonnet'] })[0]!.bites).toBeUndefined()
  expect(liquidsAt({ kind: 'wipe', title: { code: 'buff' } }, at)).toEqual([])
})
