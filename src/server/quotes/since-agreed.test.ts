import { expect, test } from 'vitest'
import type { Quote } from '@/core/offer'
import { instantOrThrow } from '@/core/time'
import { notYetPut } from './since-agreed'

const NOW = instantOrThrow('2027-01-28T16:50:00Z')
const METHODS = [
  { panel: 'tailgate', process: 'two-step-wool', reason: 'hard' },
  { panel: 'roof', process: 'one-step-polish', reason: 'soft' },
]
const written = (more: Partial<Quote>) =>
  [
    {
      version: 1,
      validUntil: instantOrThrow('2027-02-11T00:00:00Z'),
      summary: { processes: { tailgate: 'two-step-wool', roof: 'two-step' } },
      ...more,
    },
  ] as Quote[]

test('what the customer has before them is not to be put to them once more', () => {
  expect(notYetPut(METHODS, [], NOW)).toEqual(METHODS)
  expect(notYetPut(METHODS, written({}), NOW)).toEqual([METHODS[1]])
})

test('what they declined, or let run out, is', () => {
  const said = { said: 'declined', at: NOW, words: '' } as const
  expect(notYetPut(METHODS, written({ decision: said }), NOW)).toEqual(METHODS)
  expect(notYetPut(METHODS, written({ validUntil: NOW }), NOW)).toEqual(METHODS)
})
