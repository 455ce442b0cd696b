import type { Intake } from '@/core/intake/intake'

/** What was typed so far, kept in the browser at every keystroke: a reload or a flat battery loses nothing. */

const KEY = 'fern-yard-intake-draft'

export function readDraft(): Partial<Intake> {
  try {
    const parsed: unknown = JSON.parse(localStorage.getItem(KEY) ?? '{}')
    return typeof parsed === 'object' && parsed !== null ? (parsed as Partial<Intake>) : {}
  } catch {
    // A draft that cannot be read is no reason to keep anyone from taking a car in.
    return {}
  }
}

export function writeDraft(draft: Partial<Intake>): void {
  localStorage.setItem(KEY, JSON.stringify(draft))
}

export function clearDraft(): void {
  localStorage.removeItem(KEY)
}
