import { describe, expect, test } from 'vitest'
import type { QuoteState } from '@/core/offer'
import { instantOrThrow } from '@/core/time'
import { DUBLIN } from '@/text/region.fixture'
import { stateText } from './state-text'

describe('how a quote stands, in a line', () => {
  const at = instantOrThrow('2027-01-27T00:00:00Z')
  const cases: [QuoteState, string][] = [
    [{ kind: 'open', until: at }, 'open until 26 Jan 2027'],
    [{ kind: 'accepted', at }, 'accepted 27 Jan 2027'],
    [{ kind: 'declined', at, words: '' }, 'declined 27 Jan 2027'],
    [{ kind: 'declined', at, words: 'too dear' }, 'declined 27 Jan 2027: “too dear”'],
    [{ kind: 'expired', since: at }, 'expired 27 Jan 2027'],
    [{ kind: 'superseded' }, 'replaced by a later version'],
  ]
  test.each(cases)('%o', (state, words) => {
    expect(stateText(state, DUBLIN)).toBe(words)
  })
})
