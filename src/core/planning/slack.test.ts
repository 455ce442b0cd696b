import { expect, test } from 'vitest'
import { toPersonId } from '../ids'
import { shopProblem } from '../schedule/solver/problems.fixture'
import { instantOrThrow } from '../time'
import { mayOverrun } from './slack'

const shop = shopProblem([])
const planned = (from: string, until: string, ...people: string[]) => {
  const [start, end] = [from, until].map((clock) => instantOrThrow(`2027-01-11T${clock}:00Z`))
  return { start: start!, end: end!, people: people.map(toPersonId) }
}
// The day shift is there from 8:00 to 12:00 and 12:30 to 17:30, the late one from 11:30 to 15:30 and 16:00 to 20:00.
const first = planned('08:00', '11:00', 'day')

test.each([
  { what: 'up to its own shift', spare: 60, layer: first, next: planned('16:00', '18:00', 'late') },
  {
    what: 'up to the last start of the next in the shift',
    spare: 15,
    layer: planned('08:00', '11:30', 'day'),
    next: planned('16:00', '18:00', 'late'),
    wait: 375,
  },
  {
    what: 'of two people by the one who goes first',
    spare: 15,
    layer: planned('12:30', '13:30', 'day'),
    next: planned('16:30', '17:15', 'late', 'day'),
    wait: 180,
  },
  {
    what: 'not at all where the next fills the shift',
    spare: 0,
    layer: planned('08:00', '11:30', 'day'),
    next: planned('16:00', '20:00', 'late'),
    wait: 270,
  },
])('a layer may overrun $what', ({ spare, layer, next, wait = 180 }) => {
  expect(mayOverrun(shop, layer, wait, next)).toBe(spare)
})

test('nothing is said where nobody is planned, or outside their hours', () => {
  expect(mayOverrun(shop, first, 180, planned('16:00', '19:00'))).toBeUndefined()
  expect(mayOverrun(shop, first, 180, planned('21:00', '22:00', 'late'))).toBeUndefined()
  expect(
    mayOverrun(shop, planned('06:00', '07:00', 'day'), 180, planned('16:00', '18:00', 'late')),
  ).toBeUndefined()
})
