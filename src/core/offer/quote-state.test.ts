import { expect, test } from 'vitest'
import { instantOrThrow, plusMinutes } from '../time'
import { type QuoteDecision, quoteState } from './quote-state'

const UNTIL = instantOrThrow('2027-01-27T00:00:00Z')
const WHILE = plusMinutes(UNTIL, -1)
const said = (what: QuoteDecision['said']): QuoteDecision => ({ said: what, at: WHILE, words: 'so be it' })

test('the newest version is open until the very end of its day', () => {
  const quote = { version: 2, validUntil: UNTIL }
  expect(quoteState(quote, 2, WHILE)).toEqual({ kind: 'open', until: UNTIL })
  expect(quoteState(quote, 2, UNTIL)).toEqual({ kind: 'expired', since: UNTIL })
})

test('an older version is replaced, also while its day still runs', () => {
  expect(quoteState({ version: 1, validUntil: UNTIL }, 2, WHILE)).toEqual({ kind: 'superseded' })
})

test('what was said stands, past the day and past later versions', () => {
  for (const newest of [1, 3])
    for (const now of [WHILE, plusMinutes(UNTIL, 9999)]) {
      const at = (decision: QuoteDecision) =>
        quoteState({ version: 1, validUntil: UNTIL, decision }, newest, now)
      expect(at(said('accepted'))).toEqual({ kind: 'accepted', at: WHILE })
      expect(at(said('declined'))).toEqual({ kind: 'declined', at: WHILE, words: 'so be it' })
    }
})
