import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { instantOrThrow, plusMinutes } from '../time'
import { type Goes, type GoingOut, keepingCents, keepsItIn, type SkySpell, waterAhead } from '.'

const NOW = instantOrThrow('2027-02-03T16:00:00Z')
const later = (minutes: number) => plusMinutes(NOW, minutes)
const spell = (kind: SkySpell['kind'], from: number, until: number): SkySpell => ({
  kind,
  from: later(from),
  until: later(until),
})
const out = (sky: SkySpell[] | undefined, dryIn = 600): GoingOut => ({
  dryUntil: later(dryIn),
  storage: 'street',
  ...(sky ? { sky } : {}),
  keep: { minutes: dryIn, cents: 0 },
})
const signed: Goes = { how: 'exception', name: 'M. Hollow', signature: [[[0, 0]]] as never }

describe('a car whose coat must not get wet yet', () => {
  test('is asked for, and goes under a roof, in the dry, or signed for', () => {
    expect(keepsItIn(out([]), NOW, undefined)).toBe('unasked')
    expect(keepsItIn(out([]), NOW, { how: 'roof' })).toBeUndefined()
    expect(keepsItIn(out([]), NOW, { how: 'open' })).toBeUndefined()
    expect(keepsItIn(out([spell('rain', 0, 900)]), NOW, signed)).toBeUndefined()
    expect(keepsItIn(out([]), later(600), undefined)).toBeUndefined()
  })

  test('stays where it rains or freezes before its coat may get wet; heat wets nothing', () => {
    const night = spell('frost', 500, 700)
    expect(keepsItIn(out([spell('heat', 0, 60), night]), NOW, { how: 'open' })).toEqual({
      kind: 'wet',
      spell: night,
    })
    expect(keepsItIn(out([spell('heat', 0, 300)]), NOW, { how: 'open' })).toBeUndefined()
    // What comes after that may come.
    expect(keepsItIn(out([spell('rain', 600, 700)]), NOW, { how: 'open' })).toBeUndefined()
  })

  test('a roof at home does not keep off the rain on the way', () => {
    expect(keepsItIn(out([spell('rain', 30, 90)]), NOW, { how: 'roof' })).toMatchObject({ kind: 'wet' })
    expect(keepsItIn(out([spell('rain', 61, 90)]), NOW, { how: 'roof' })).toBeUndefined()
    expect(keepsItIn(out([spell('rain', -90, 0)]), NOW, { how: 'roof' })).toBeUndefined()
  })

  test('where nobody tells the weather, only a roof will do', () => {
    expect(keepsItIn(out(undefined), NOW, { how: 'roof' })).toBeUndefined()
    expect(keepsItIn(out(undefined), NOW, { how: 'open' })).toEqual({ kind: 'unknown' })
  })

  test('whatever the weather, a roof never makes it worse, and the first wet spell is named', () => {
    const spells = fc.array(
      fc
        .tuple(
          fc.constantFrom('rain' as const, 'frost' as const, 'heat' as const),
          fc.integer({ min: -600, max: 1500 }),
          fc.integer({ min: 1, max: 600 }),
        )
        .map(([kind, from, lasts]) => spell(kind, from, from + lasts)),
      { maxLength: 8 },
    )
    fc.assert(
      fc.property(spells, fc.integer({ min: 1, max: 2000 }), (sky, dryIn) => {
        const [open, roof] = [waterAhead(out(sky, dryIn), NOW, false), waterAhead(out(sky, dryIn), NOW, true)]
        if (roof.kind === 'wet') expect(open).toEqual(roof)
        if (open.kind !== 'wet') return
        expect(open.spell.kind).not.toBe('heat')
        expect(open.spell.from < later(dryIn) && open.spell.until > NOW).toBe(true)
        for (const { kind, from, until } of sky)
          if (kind !== 'heat' && until > NOW && from < later(dryIn))
            expect(open.spell.from <= from).toBe(true)
      }),
    )
  })

  test('keeping it costs its hours in the bay', () => {
    expect(keepingCents(90, 650)).toBe(975)
    expect(keepingCents(0, 650)).toBe(0)
  })
})
