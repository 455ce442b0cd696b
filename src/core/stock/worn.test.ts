import { expect, test } from 'vitest'
import type { Supply } from './supply'
import { wornCents } from './worn'

const pads: Supply = {
  id: 'p',
  kind: 'pad',
  name: 'Foam cut',
  clean: 4,
  dirty: 0,
  washes: 2,
  washesMost: 15,
  reorderAt: 0,
  of: { pad: 'foam-cut', mm: 125 },
}
const towels: Supply = { ...pads, id: 't', kind: 'towel', name: 'Edgeless', washesMost: 60 }
const { of: _, ...ofTowels } = towels
const step = { pads: [{ pad: 'foam-cut' as const, mm: 125, pieces: 3 }], towels: 20 }

test('a use of a pad or a towel costs it one of the washes it stands', () => {
  const sets = [
    { ...pads, cents: 900 },
    { ...ofTowels, cents: 240 },
  ]
  // 3 · 900 / 15 and 20 · 240 / 60.
  expect(wornCents([step], sets)).toBe(180 + 80)
  expect(wornCents([step, step], sets)).toBe(2 * 260)
  expect(wornCents([{ pads: [], towels: 20 }], [...sets, { ...ofTowels, id: 'u', cents: 480 }])).toBe(120)
})

test('what has no price, or is of another width, is not reckoned', () => {
  expect(wornCents([step], [pads, ofTowels])).toBeUndefined()
  expect(wornCents([step], [{ ...pads, cents: 900 }, ofTowels])).toBe(180)
  expect(
    wornCents([{ pads: [{ pad: 'foam-cut', mm: 75, pieces: 1 }], towels: 0 }], [{ ...pads, cents: 900 }]),
  ).toBe(undefined)
})
