import { expect, test } from 'vitest'
import { toBottleId, toProductId } from '../ids'
import { localDayOrThrow } from '../time'
import { onShelf, shortFor } from './short'

const TODAY = localDayOrThrow('2027-01-13')
const ebb = { id: toProductId('ebb'), shelfLifeMonths: { open: 6, closed: 12 } }
const bottle = (leftMl: number, arrived: string, openedOn?: string) => ({
  id: toBottleId(`${arrived} ${leftMl}`),
  productId: ebb.id,
  lot: 'L',
  fullMl: 50,
  leftMl,
  arrivedOn: localDayOrThrow(arrived),
  ...(openedOn ? { openedOn: localDayOrThrow(openedOn) } : {}),
})
const compound = { kind: 'compound' as const, ml: 120 }

test('of a coating only what is still good counts; what is too old is said beside it', () => {
  const shelf = onShelf([bottle(30, '2026-12-01'), bottle(40, '2025-11-01')], [], [ebb], TODAY)
  expect(shortFor([{ product: ebb, ml: 30 }], [], shelf).coats).toEqual([])
  expect(shortFor([{ product: ebb, ml: 31 }], [], shelf).coats).toEqual([
    { of: ebb, neededMl: 31, leftMl: 30, pastMl: 40 },
  ])
})

test('a shop that keeps no bottles in the book is told nothing of them', () => {
  expect(shortFor([{ product: ebb, ml: 500 }], [], onShelf([], [], [ebb], TODAY)).coats).toEqual([])
})

test('a liquid is short where somebody counts it and its sheet says how much is taken', () => {
  const shelf = onShelf([], [{ key: 'compound', left: 100 }], [], TODAY)
  expect(shortFor([], [compound], shelf).liquids).toEqual([
    { of: compound, neededMl: 120, leftMl: 100, pastMl: 0 },
  ])
  expect(
    shortFor([], [{ kind: 'compound' as const }, { kind: 'polish' as const, ml: 9 }], shelf).liquids,
  ).toEqual([])
})
