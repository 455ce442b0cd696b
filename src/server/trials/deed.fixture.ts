import type { Intake } from '@/core/intake/intake'
import { nimble } from '@/core/intake/intake.fixture'
import type { Asked, Deed } from './filled-in.fixture'

/** How a deed is written down. */

export const key = (name: string) => `kill-campaign-${name}`

export const TAKEN_IN: Intake = { ...nimble, customerName: 'Killed Twice', plate: 'IM 13' }

/** What an earlier deed was answered, told to the one who does it. */
export const answered = (deed: string, ...path: string[]): Asked => ({
  $answer: [key(deed), 'value', ...path],
})

export const action = (name: string, of: string, input: unknown): Deed => ({
  kind: 'action',
  key: key(name),
  action: of,
  input,
})
