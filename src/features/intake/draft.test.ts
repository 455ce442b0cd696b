import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { clearDraft, readDraft, writeDraft } from './draft'

let kept: Map<string, string>
beforeEach(() => {
  kept = new Map()
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
    removeItem: (key: string) => kept.delete(key),
  })
})
afterEach(() => vi.unstubAllGlobals())

test('a draft comes back as it was typed, half-finished and wrong as it may be', () => {
  const typed = { customerName: 'Ita', year: '20', budget: 'about a thou' }
  writeDraft(typed)
  expect(readDraft()).toEqual(typed)
})

test('a finished intake leaves none behind', () => {
  writeDraft({ customerName: 'Ita' })
  clearDraft()
  expect(readDraft()).toEqual({})
})

test('a draft that cannot be read is no reason to keep anyone from taking a car in', () => {
  for (const broken of ['{"customerName":', 'null', '7', '"text"']) {
    kept.clear()
    kept.set('fern-yard-intake-draft', broken)
    expect(readDraft()).toEqual({})
  }
})
