import { expect, test } from 'vitest'
import { toPersonId } from '../ids'
import type { problemSchema } from '../schedule'
import { shopProblem } from '../schedule/solver/problems.fixture'
import { instantOrThrow } from '../time'
import { mayOverrun } from './slack'

const at = (clock: string) => instantOrThrow(`2027-01-11T${clock}:00Z`)
const shop: ReturnType<typeof problemSchema.parse> = shopProblem([])
const next = (start: string, end: string, ...people: string[]) => ({
  start: at(start),
  end: at(end),
  people: people.map(toPersonId),
})

test.each([
  // The late shift is there from 16:00 to 20:00; the day shift goes at 17:30.
  { what: 'up to the last start in the shift', spare: 60, layer: next('16:00', '19:00', 'late') },
  {
    what: 'of two people by the one who goes first',
    spare: 30,
    layer: next('16:00', '17:00', 'late', 'day'),
  },
  { what: 'not at all where it fills the shift', spare: 0, layer: next('16:00', '20:00', 'late') },
])('a layer may overrun $what', ({ spare, layer }) => {
  expect(mayOverrun(shop, at('13:00'), 180, layer)).toBe(spare)
})

test('a layer that is planned behind the end of its wait has that to spare as well', () => {
  expect(mayOverrun(shop, at('12:40'), 180, next('16:00', '19:00', 'late'))).toBe(80)
})

test('nothing is said where nobody is planned, or outside their hours', () => {
  expect(mayOverrun(shop, at('13:00'), 180, next('16:00', '19:00'))).toBeUndefined()
  expect(mayOverrun(shop, at('13:00'), 180, next('21:00', '22:00', 'late'))).toBeUndefined()
})
