import { coded, readCoded } from '../../coded'

/** What is wrong with a file of the contract, or with a schedule that is held against its problem; `src/text` says it. */

export type PlainFault =
  | 'no-room'
  | 'instant'
  | 'whole-minute'
  | 'clock'
  | 'opens-before-it-closes'
  | 'day'
  | 'calendar'
  | 'a-minute'
  | 'needs-people'
  | 'needs-nobody'
  | 'needs-skill'
  | 'split-of-one'
  | 'split-below-people'
  | 'spread'
  | 'ends-before-it-begins'
  | 'hold-without-end'
  | 'not-negative'
  | 'time-zone'
  | 'no-reason'
  | 'no-such-operation'
  | 'placed-twice'
  | 'not-whole-minutes'
  | 'not-placed'
  | 'before-arrival'
  | 'after-horizon'
  | 'before-origin'
  | 'air-damp-before'
  | 'air-damp-after'
  | 'unattended-with-people'
  | 'not-at-fixed-start'
  | 'not-in-fixed-place'
  | 'not-with-fixed-people'
  | 'no-length'
  | 'starts-closed'
  | 'ends-late'
  | 'interrupted'
  | 'other-segments'
  | 'bound-above'
  | 'not-optimal'

/** Faults with facts: ids as they stand in the files, lengths in minutes. */
export type FaultFacts = {
  twice: { id: string }
  'no-calendar': { id: string }
  'not-in-this-job': { id: string }
  'in-another-stay': { id: string; stay: string }
  'in-no-stay': { id: string }
  'no-job': { id: string }
  'no-operation': { id: string; job: string }
  'no-place': { id: string }
  'no-person': { id: string }
  'no-equipment': { id: string }
  'apart-from-itself': { id: string }
  'split-above-staff': { split: number; staff: number }
  'people-given': { id: string; needs: number; given: number }
  'too-soon': { gap: number; after: string; least: number }
  'too-late': { gap: number; after: string; most: number }
  'several-places': { stay: string }
  'other-kind': { id: string; kind: string }
  'does-not-fit': { id: string }
  'off-grid': { minutes: number }
  lasts: { minutes: number; instead: number }
  'other-team': { needs: number; has: readonly string[] }
  'lacks-skill': { id: string; skill: string }
  'open-minutes': { minutes: number; instead: number }
  'double-booked': { id: string; job: string; operation: string }
  'not-apart': { from: string }
  'not-during': { from: string; to: string }
  'dust-beside-open': { air: string; job: string; operation: string }
  'equipment-short': { id: string; used: number; there: number }
  'split-team': { least: number; most: number; has: readonly string[] }
  'too-full': { id: string; held: number; fit: number }
  'other-term': { term: string; is: number; said: number }
  'other-cost': { is: number; said: number | null }
}

export function fault(code: PlainFault): string
export function fault<Code extends keyof FaultFacts>(code: Code, facts: FaultFacts[Code]): string
export function fault(code: string, facts?: object): string {
  return coded('fault', code, facts)
}

export type Fault =
  | { code: PlainFault; facts?: undefined }
  | { [Code in keyof FaultFacts]: { code: Code; facts: FaultFacts[Code] } }[keyof FaultFacts]

/** What a fault says; undefined for any other string. */
export const readFault = (text: string) => readCoded('fault', text) as Fault | undefined
