import { expect, test } from 'vitest'
import { cautionFor, recipeFor } from './cautions'
import { EXTRA, EXTRA_KEYS } from './extras'
import { OPERATION_KINDS } from './operations'

test('every kind of step but taping up carries a caution', () => {
  for (const kind of OPERATION_KINDS) expect(Boolean(cautionFor({ kind }))).toBe(kind !== 'mask')
})

test.each(EXTRA_KEYS)('%s speaks of its own danger and its own way of working', (extra) => {
  expect(cautionFor({ kind: 'extra', extra })).toBe(EXTRA[extra].caution)
  expect(recipeFor({ kind: 'extra', extra })).toBe(EXTRA[extra].means)
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
  expect(cautionFor({ kind: 'extra', extra })).toMatch(words)
})

test.each([
  ['wash', /never mixed/],
  ['cut', /Tie back cords/],
  ['layer', /ventilate, no flame/],
  ['surface', /cartridge/],
  ['wipe', /no flame/],
] as const)('%s: %s', (kind, words) => {
  expect(cautionFor({ kind })).toMatch(words)
})
