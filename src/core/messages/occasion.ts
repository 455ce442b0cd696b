/** What a customer is written to about. */

export const OCCASIONS = [
  'curing',
  'first-wash',
  'visit-due',
  'visit-overdue',
  'panel-failed',
  'frost-and-salt',
  'pollen',
  'guarantee-lapses',
  'renewal',
  'words',
] as const
export type Occasion = (typeof OCCASIONS)[number]

type OccasionModel = {
  name: string
  when: string
  /** A reminder needs the customer’s consent; word about work on their own car, which they gave us, does not. */
  needsConsent: boolean
}

export const OCCASION: Record<Occasion, OccasionModel> = {
  curing: { name: 'While it cures', when: 'The day the car goes home', needsConsent: false },
  'first-wash': { name: 'First wash', when: 'When the first wash may be', needsConsent: false },
  'visit-due': { name: 'Visit due', when: 'Two weeks before the window opens', needsConsent: true },
  'visit-overdue': { name: 'Visit missed', when: 'A week after the window has closed', needsConsent: true },
  'panel-failed': { name: 'A panel has failed', when: 'After a visit, by hand', needsConsent: false },
  'frost-and-salt': { name: 'Frost and salt', when: 'When the frost begins', needsConsent: true },
  pollen: { name: 'Pollen', when: 'When the pollen begins', needsConsent: true },
  'guarantee-lapses': { name: 'Guarantee lapses', when: 'Six weeks before its last day', needsConsent: true },
  renewal: { name: 'Time for a new coat', when: 'When the old one has most likely gone', needsConsent: true },
  words: { name: 'In your own words', when: 'By hand', needsConsent: false },
}
