import fc from 'fast-check'
import { expect, test } from 'vitest'
import { boxInPixels, boxSchema, grown } from './plate'

const share = fc.double({ min: 0, max: 1, noNaN: true })
const box = fc
  .tuple(share, share, share, share)
  .map(([x, y, width, height]) => ({ x, y, width: width * (1 - x), height: height * (1 - y) }))

test('a grown box holds the one that was drawn, and stays on the picture', () => {
  fc.assert(
    fc.property(box, share, (drawn, by) => {
      const { x, y, width, height } = grown(drawn, by)
      expect(boxSchema.safeParse({ x, y, width, height }).success).toBe(true)
      expect(x).toBeLessThanOrEqual(drawn.x)
      expect(y).toBeLessThanOrEqual(drawn.y)
      expect(x + width).toBeGreaterThanOrEqual(drawn.x + drawn.width - 1e-9)
      expect(y + height).toBeGreaterThanOrEqual(drawn.y + drawn.height - 1e-9)
    }),
  )
})

test('in pixels a box is whole, at least one, on the picture, and no smaller than it was drawn', () => {
  fc.assert(
    fc.property(
      box,
      fc.integer({ min: 1, max: 3000 }),
      fc.integer({ min: 1, max: 3000 }),
      (drawn, wide, high) => {
        const { left, top, width, height } = boxInPixels(drawn, wide, high)
        for (const side of [left, top, width, height]) expect(Number.isInteger(side)).toBe(true)
        expect(Math.min(width, height)).toBeGreaterThanOrEqual(1)
        expect(left + width).toBeLessThanOrEqual(wide)
        expect(top + height).toBeLessThanOrEqual(high)
        expect(left).toBeLessThanOrEqual(drawn.x * wide)
        expect(left + width).toBeGreaterThanOrEqual(Math.min(wide, (drawn.x + drawn.width) * wide) - 1e-6)
      },
    ),
  )
})
