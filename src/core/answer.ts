/** How every action of the shop is called and what it answers, on the wire and off it. */

/** Why nothing was done. `field` leads to what was typed, as in `people.0.week.mon`; '' where it belongs to no field. */
export type Refusal = { ok: false; code: RefusalCode; field: string; message: string }

export type Answer<Value> = { ok: true; value: Value } | Refusal

export type RefusalCode =
  /** What was sent is not what the action takes. */
  | 'input'
  /** Whoever asks may not do this. */
  | 'not-for-you'
  /** The key has been used for something else. */
  | 'key-used'
  /** It was done, and what it gave is shown only once. */
  | 'shown-once'
  /** What it is about is no longer there. */
  | 'gone'
  /** Something has changed since it was looked at. */
  | 'stale'
  /** A rule of the trade or of the shop is against it. */
  | 'rule'
  /** The disk of the shop's machine is full; nothing was changed. */
  | 'no-room'
  /** The shop itself failed; nothing was changed. */
  | 'fault'
  /** The shop could not be asked; made on this side. */
  | 'unreached'

/** One intention of somebody: the same key is sent however often it has to be tried. */
export type Call<Input> = { key: string; input: Input }

/** An action as a page calls it. */
export type Action<Input, Value> = (call: Call<Input>) => Promise<Answer<Value>>

export function done(): { ok: true; value: null }
export function done<Value>(value: Value): { ok: true; value: Value }
export function done<Value>(value: Value | null = null): { ok: true; value: Value | null } {
  return { ok: true, value }
}

export function refuse(code: RefusalCode, message: string, field = ''): Refusal {
  return { ok: false, code, field, message }
}

/** What an action or a question gives when it is done. */
export type Given<Asked> = Asked extends (asked: never) => Promise<Answer<infer Value>> ? Value : never
