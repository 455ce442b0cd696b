import { expect, test } from 'vitest'
import { SEEDED_METHODS } from '@/core/correction'
import { APART, EXTRA_KEYS, OPERATION_KINDS } from '@/core/offer'
import { workName } from './learning'

test('every kind of work the shop learns has a name of its own', () => {
  const keys = [
    ...OPERATION_KINDS.filter((kind) => kind !== 'extra'),
    ...APART,
    ...EXTRA_KEYS.map((key) => `extra:${key}`),
    ...SEEDED_METHODS.flatMap(({ key }) => ['cut', 'refine', 'single'].map((role) => `${key}:${role}`)),
  ]
  const names = keys.map((key) => workName(key))
  expect(new Set(names).size).toBe(keys.length)
  for (const key of keys) expect(workName(key)).not.toBe(key)
  expect(workName('two-step:cut')).toBe('Two-step, cutting')
  expect(workName('unheard-of')).toBe('unheard-of')
})
