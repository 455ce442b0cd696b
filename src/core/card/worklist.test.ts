import { expect, test } from 'vitest'
import { type MethodKey, seededMethod, type Worked, worked } from '../correction'
import { toPersonId } from '../ids'
import { panelsOf } from '../vehicle'
import { worklist, workNow } from './worklist'

const panels = panelsOf('saloon')
const all = (key: MethodKey): Record<string, Worked> =>
  Object.fromEntries(panels.map(({ id }) => [id, worked(seededMethod(key))]))

test('a two-step is cut and refined on every panel, each by its own machine, sections by area', () => {
  const processes = all('two-step')
  const cut = worklist({ kind: 'cut' }, panels, processes, 'usual')
  const refine = worklist({ kind: 'refine' }, panels, processes, 'usual')
  expect(cut.tasks).toHaveLength(panels.length)
  expect(cut.recipes.map(({ pad }) => pad)).toEqual(['microfibre'])
  expect(refine.recipes.map(({ pad }) => pad)).toEqual(['foam-finish'])
  const sectionsOf = (id: string) => cut.tasks.find(({ panel }) => panel === id)!.sections
  expect(sectionsOf('bonnet')).toBeGreaterThan(sectionsOf('mirror-left'))
  expect(worklist({ kind: 'polish' }, panels, processes, 'usual').tasks).toEqual([])
})

test('highest care works in smaller squares, so there are more of them', () => {
  const processes = all('two-step')
  const count = (care: 'usual' | 'highest') =>
    worklist({ kind: 'cut' }, panels, processes, care).tasks.reduce((sum, { sections }) => sum + sections, 0)
  expect(count('highest')).toBeGreaterThan(count('usual'))
})

test('a panel that is left is not on the list; one changed at the car is, by its new method', () => {
  const agreed = { ...all('leave'), bonnet: worked(seededMethod('two-step')) }
  expect(worklist({ kind: 'cut' }, panels, agreed, 'usual').tasks.map(({ panel }) => panel)).toEqual([
    'bonnet',
  ])
  const change = {
    panel: 'roof',
    process: 'two-step',
    reason: 'r',
    by: toPersonId('b'),
    at: '' as never,
  }
  const changed = worklist({ kind: 'cut' }, panels, workNow(agreed, [change]), 'usual')
  expect(changed.tasks.map(({ panel }) => panel)).toEqual(['bonnet', 'roof'])
})

test('a coat and a wipe go over every panel, other steps over none', () => {
  expect(worklist({ kind: 'layer' }, panels, {}, 'usual').tasks).toHaveLength(panels.length)
  expect(worklist({ kind: 'wipe' }, panels, {}, 'usual').tasks).toHaveLength(panels.length)
  expect(worklist({ kind: 'wash' }, panels, {}, 'usual')).toEqual({ tasks: [], recipes: [] })
})

test('recipes of the same machine and pad stand together, whatever the order of the panels', () => {
  const [first, second, third] = panels.map(({ id }) => id)
  const work = {
    [first!]: worked(seededMethod('two-step')),
    [second!]: worked(seededMethod('two-step-wool')),
    [third!]: worked(seededMethod('two-step'), [7, 4]),
  }
  const { recipes } = worklist({ kind: 'cut' }, panels, work, 'usual')
  expect(recipes.map(({ pad }) => pad)).toEqual(['microfibre', 'microfibre', 'wool'])
})
