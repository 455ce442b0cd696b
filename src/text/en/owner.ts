import type { OwnerWords } from '../owner'

export const ownerInEnglish: OwnerWords = {
  title: (shop) => `Your car at ${shop}`,
  hello: (name) => `Hello ${name}.`,
  protectedWith: (products, since, until) =>
    `Protected with ${products} since ${since}, likely until ${until}.`,
  protectedUntil: (products, since, until) =>
    `Protected with ${products} on ${since}; that has probably worn off since ${until}.`,
  unprotected: 'Here is what we know about your car.',
  firstDays: 'The first days',
  yearAhead: 'The year ahead',
  addToCalendar: 'Add to my calendar',
  visit: {
    heading: 'Request a visit',
    expected: (day) => `We are expecting it on ${day}.`,
    here: 'It is with us at the moment.',
    asked: (day) => `You have requested a visit from ${day}. We will write to you.`,
    from: 'Any day from',
    what: 'What should we look at? (optional)',
    ask: 'Request a visit',
    asking: 'Sending…',
  },
  refused: {
    gone: 'This page is no longer open. Ask the shop for a new link.',
    input: 'Choose a day from today on, within a year.',
    stale: 'We already have your request and will write to you.',
    other: 'No reply from the shop. Nothing was sent. Please try again.',
  },
  beforeAndAfter: 'Before and after',
  phase: { before: 'before', after: 'after' },
  rules: 'Looking after it',
  print: 'Print',
  private: 'This is your private page. Anyone with the link can open it, so please do not share it.',
}
