import { expect, test } from 'vitest'
import { EXTRA_KEYS, type ExtraKey, OPERATION_KINDS, type OperationKind } from '@/core/offer'
import { DUBLIN } from '../region.fixture'
import { cautionFor, recipeFor } from './steps'

const caution = (kind: OperationKind, extra?: ExtraKey) => {
  const step = { kind, ...(extra ? { extra } : {}) }
  return cautionFor(step, [step])
}

test('every kind of step carries a caution but taping up, and the last look where the wheels stayed on', () => {
  for (const kind of OPERATION_KINDS)
    expect(Boolean(caution(kind))).toBe(kind !== 'mask' && kind !== 'finish')
})

test('wheel nuts are spoken of where wheels were off, and nowhere else', () => {
  const finish = { kind: 'finish' } as const
  expect(cautionFor(finish, [{ kind: 'extra', extra: 'wheels-off' }, finish])).toMatch(/torque.*re-checked/)
  expect(cautionFor(finish, [{ kind: 'extra', extra: 'interior' }, finish])).toBeUndefined()
})

test.each(EXTRA_KEYS)('%s speaks of its own danger and its own way of working', (extra) => {
  expect(caution('extra', extra)).not.toBe(caution('extra'))
  expect(recipeFor(DUBLIN, { kind: 'extra', extra })).toBeTruthy()
})

test.each([
  ['wheels-off', /torque.*re-check/],
  ['wheels-off', /stands/],
  ['engine-bay', /high voltage/],
  ['touch-up', /licensed refinisher/],
  ['headlamps', /mask/],
  ['soft-top', /ventilate/],
  ['interior', /allerg/],
] as const)('%s defers where someone can be hurt: %s', (extra, words) => {
  expect(caution('extra', extra)).toMatch(words)
})

test.each([
  ['wash', /never mixed/],
  ['cut', /Tie back cords/],
  ['layer', /ventilate, no flame/],
  ['surface', /cartridge/],
  ['wipe', /no flame/],
] as const)('%s: %s', (kind, words) => {
  expect(caution(kind)).toMatch(words)
})

test('no line repeats a figure of the recipe below it, which may say otherwise', () => {
  for (const kind of ['wash', 'cut', 'refine', 'polish', 'layer', 'surface'] as const)
    expect(recipeFor(DUBLIN, { kind })).not.toMatch(
      /\d|\b(two|three|four|five|six) .*(pass|minute)|(larger|smaller) section|slow|fast/i,
    )
})

test('panels that are taken to their end one by one are not said to get one step', () => {
  const title = { code: 'polish-panels' } as const
  expect(recipeFor(DUBLIN, { kind: 'polish', title })).toMatch(/to its end/)
  expect(recipeFor(DUBLIN, { kind: 'polish', title: { code: 'again', of: title, place: 'roof' } })).toMatch(
    /to its end/,
  )
})

test('a wash that is planned is told by its plan alone; one without a hose has no foam and no buckets to rinse from', () => {
  expect(recipeFor(DUBLIN, { kind: 'wash' }, { washIsPlanned: true })).toBeUndefined()
  const rinseless = recipeFor(DUBLIN, { kind: 'wash', title: { code: 'rinseless-wash' } })
  expect(rinseless).toMatch(/Without a hose/)
  expect(rinseless).not.toMatch(/foam|two buckets/)
  expect(recipeFor(DUBLIN, { kind: 'wash', title: { code: 'wash' } })).toMatch(/foam.*clay with plenty/)
  expect(recipeFor(DUBLIN, { kind: 'wash', title: { code: 'wash' } }, { isCoated: true })).toMatch(/No clay/)
})
