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
  /** A reminder needs the customer’s consent; word about work on their own car, which they gave us, does not. */
  needsConsent: boolean
}

export const OCCASION: Record<Occasion, OccasionModel> = {
  curing: { needsConsent: false },
  'first-wash': { needsConsent: false },
  'visit-due': { needsConsent: true },
  'visit-overdue': { needsConsent: true },
  'panel-failed': { needsConsent: false },
  'frost-and-salt': { needsConsent: true },
  pollen: { needsConsent: true },
  'guarantee-lapses': { needsConsent: true },
  renewal: { needsConsent: true },
  words: { needsConsent: false },
}
