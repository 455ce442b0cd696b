import type { Intake } from '@/core/intake/intake'

/** What was typed so far, kept in the browser at every keystroke: a reload or a flat battery loses nothing. */

/** A car for which a slot is held has a draft of its own: what was begun for another stays. */
const keyOf = (hold: string | undefined) => `fern-yard-intake-draft${hold ? `-${hold}` : ''}`

export function readDraft(hold?: string): Partial<Intake> {
  try {
    const parsed: unknown = JSON.parse(localStorage.getItem(keyOf(hold)) ?? '{}')
    return typeof parsed === 'object' && parsed !== null ? (parsed as Partial<Intake>) : {}
  } catch {
    // A draft that cannot be read is no reason to keep anyone from taking a car in.
    return {}
  }
}

export function writeDraft(draft: Partial<Intake>): void {
  localStorage.setItem(keyOf(draft.hold), JSON.stringify(draft))
}

export function clearDraft(hold?: string): void {
  localStorage.removeItem(keyOf(hold))
}
