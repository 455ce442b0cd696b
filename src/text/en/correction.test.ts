import { expect, test } from 'vitest'
import { PROCESS_KEYS } from '@/core/correction'
import { EXTRA_KEYS } from '@/core/offer'
import { PROCESS_NAME, spotWhy, workName } from './correction'

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

test('a memory names the cars behind it', () => {
  expect(spotWhy({ code: 'remembered', cars: 2, kinship: 'same-paint' })).toBe(
    'It was enough on 2 cars with this make and colour code.',
  )
  expect(spotWhy({ code: 'remembered', cars: 1, kinship: 'same-time' })).toBe(
    'It was enough on one car with this kind of paint, within ten years.',
  )
})

test('a process left out is called what it is on a paper', () =>
  expect(PROCESS_NAME.leave).toBe('No polishing'))
