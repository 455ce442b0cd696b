import { expect, test } from 'vitest'
import { instantOrThrow, localDayOrThrow } from '../time'
import { isOrderLate, isOrderOf } from './orders'

const day = localDayOrThrow

test('what a shop has and uses up can be ordered, and nothing else', () => {
  const products = new Set(['ebb-single'])
  expect(['product:ebb-single', 'store:foam', 'store:tape'].every((of) => isOrderOf(of, products))).toBe(true)
  for (const of of ['product:unheard-of', 'store:pad', 'foam', '', ':', 'bottle:ebb-single'])
    expect(isOrderOf(of, products)).toBe(false)
})

test('an order is late from the day after it was due', () => {
  const order = { id: 1, of: 'store:foam', orderedAt: instantOrThrow('2027-01-11T09:00:00Z') } as const
  const due = day('2027-01-14')
  expect(
    [day('2027-01-14'), day('2027-01-15')].map((today) => isOrderLate({ ...order, due }, today)),
  ).toEqual([false, true])
  expect(isOrderLate(order, day('2030-01-01'))).toBe(false)
})
