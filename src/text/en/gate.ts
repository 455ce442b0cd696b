import type { Refused } from '@/core/staff'

/** What is told to whoever is not let in, in the staff's English. */
export const GATE_WORDS: Record<Refused, string> = {
  'no-such-host': 'This shop does not go by that name. FERN_YARD_NAMES lists the names it answers to.',
  'no-such-method': 'Only GET, HEAD and POST are answered here.',
  'not-own-page': 'Nothing is done for pages that are not the shop’s own.',
  'nothing-done-here': 'Nothing of the shop can be done from here.',
  'nothing-here': 'There is nothing here.',
  'nobody-signs-in':
    'Nobody can sign in to this shop yet, so only the machine it runs on is answered. Open it there, and set up the owner under Shop, Who signs in.',
}

export const SIGN_IN_FIRST = 'Sign in first.'
export const NOT_FOR_YOU = 'This is not for you.'
export const TOO_OFTEN = 'You asked very often. Wait a moment, then ask again.'
