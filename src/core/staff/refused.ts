/** Why a request is not let in, whoever it comes from. */
export type Refused =
  /** It asks for a name that is none of the shop's. */
  | 'no-such-host'
  | 'no-such-method'
  /** It would write, and does not come from a page of the shop. */
  | 'not-own-page'
  /** It would run an action where none can be. */
  | 'nothing-done-here'
  | 'nothing-here'
  /** It comes from elsewhere, and nobody can sign in yet. */
  | 'nobody-signs-in'
