import { expect, test } from 'vitest'
import { shortPlate } from './short-plate'

test.each([
  ['AB 903', '903'],
  ['07 C 1234', 'C 1234'],
  ['X1YZ', 'X1YZ'],
  ['none', 'none'],
])('%s is %s where there is little room', (plate, short) => {
  expect(shortPlate(plate)).toBe(short)
})
