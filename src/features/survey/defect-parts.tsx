'use client'

import type { Severity } from '@/core/survey'
import { SEVERITY_NAME } from '@/text/en/survey'
import { Choice } from '@/ui/choice'

/** Parts shared by what marks a panel and what is wrong with a place. */

const SEVERITIES: readonly Severity[] = [1, 2, 3]

/** What has just opened is brought into sight, so that a thumb need not scroll for it. */
export const intoView = (node: HTMLElement | null) => node?.scrollIntoView({ block: 'nearest' })

export function SeverityChoice({
  value,
  onChange,
}: {
  value: Severity
  onChange: (severity: Severity) => void
}) {
  return (
    <Choice
      label="How bad?"
      options={SEVERITIES.map((each) => ({ value: each, name: SEVERITY_NAME[each] }))}
      value={value}
      onChange={onChange}
    />
  )
}

export function NoteField({ value, onChange }: { value: string; onChange: (note: string) => void }) {
  return (
    <input
      className="field"
      aria-label="Note"
      placeholder="Where exactly, if it matters"
      maxLength={300}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  )
}

export function RemoveButton({ what, onRemove }: { what: string; onRemove: () => void }) {
  return (
    <button
      type="button"
      className="min-h-11 px-2 text-sm underline underline-offset-4"
      aria-label={`Remove ${what}`}
      onClick={onRemove}
    >
      remove
    </button>
  )
}
