import fc from 'fast-check'
import { expect, test } from 'vitest'
import { CLEAN, type Contamination } from './contamination'
import type { WashFindings } from './findings'
import { mergeFindings } from './merge'

const level = fc.constantFrom(0 as const, 1 as const, 2 as const, 3 as const)
const some = fc.record({
  contamination: fc.record({
    touch: fc.record({ upper: level, sides: level, lower: level, tail: level }),
    sight: fc.record({ iron: level, tar: level, sap: level, overspray: level, mineral: level, algae: level }),
  }),
  place: fc.record({
    airC: fc.integer({ min: -30, max: 50 }),
    drain: fc.boolean(),
    hose: fc.boolean(),
    indoors: fc.boolean(),
  }),
  method: fc.constantFrom('wet' as const, 'rinseless' as const),
}) as fc.Arbitrary<WashFindings>

const clean: WashFindings = {
  contamination: CLEAN,
  place: { airC: 4, drain: true, hose: true, indoors: true },
}
const seen = (sight: Partial<Contamination['sight']>): WashFindings => ({
  ...clean,
  contamination: { ...CLEAN, sight: { ...CLEAN.sight, ...sight } },
})

test('what two tablets found on different parts stands side by side', () => {
  expect(mergeFindings(clean, seen({ tar: 2 }), seen({ sap: 1 }))).toEqual(seen({ tar: 2, sap: 1 }))
  expect(mergeFindings(clean, { ...clean, method: 'wet' }, seen({ sap: 1 }))).toEqual({
    ...seen({ sap: 1 }),
    method: 'wet',
  })
})

test('what both changed stays as it is here, and what was taken back here stays taken back', () => {
  expect(mergeFindings(clean, seen({ tar: 2 }), seen({ tar: 3 }))).toEqual(seen({ tar: 2 }))
  expect(mergeFindings(seen({ tar: 3 }), clean, seen({ tar: 3, sap: 1 }))).toEqual(seen({ sap: 1 }))
})

test('who changed nothing gets what the other has, and who alone changed something keeps it', () => {
  fc.assert(
    fc.property(some, some, (base, other) => {
      expect(mergeFindings(base, base, other)).toEqual(other)
      expect(mergeFindings(base, other, base)).toEqual(other)
      expect(mergeFindings(base, other, other)).toEqual(other)
    }),
  )
})

test('each part is as one of the two left it, and as nobody changed it where nobody did', () => {
  const parts = ({ contamination: { touch, sight }, place, method }: WashFindings) =>
    Object.entries({ ...touch, ...sight, ...place, method })
  fc.assert(
    fc.property(some, some, some, (base, mine, theirs) => {
      const [b, m, t] = [base, mine, theirs].map((each) => new Map<string, unknown>(parts(each)))
      for (const [name, value] of parts(mergeFindings(base, mine, theirs)))
        expect(value, name).toBe(m!.get(name) === b!.get(name) ? t!.get(name) : m!.get(name))
    }),
  )
})
