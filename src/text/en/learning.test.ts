import { expect, test } from 'vitest'
import { PROCESS_KEYS } from '@/core/correction'
import { EXTRA_KEYS } from '@/core/offer'
import { workName } from './learning'

test('every kind of work the shop learns has a name of its own', () => {
  const keys = [
    ...['wash', 'mask', 'wipe', 'layer', 'surface', 'finish', 'look', 'cut', 'refine', 'polish'],
    ...EXTRA_KEYS.map((key) => `extra:${key}`),
    ...PROCESS_KEYS.flatMap((key) => ['cut', 'refine', 'single'].map((role) => `${key}:${role}`)),
  ]
  const names = keys.map(workName)
  expect(new Set(names).size).toBe(keys.length)
  for (const key of keys) expect(workName(key)).not.toBe(key)
  expect(workName('two-step:cut')).toBe('Two-step, cutting')
  expect(workName('unheard-of')).toBe('unheard-of')
})
