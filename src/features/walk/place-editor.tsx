'use client'

import { type ReactNode, useState } from 'react'
import {
  PLACE_DEFECT_MODEL,
  type PlaceDefect,
  type PlaceDefectKind,
  placeDefectsOn,
  SEVERITY_NAME,
  type Severity,
} from '@/core/survey'
import type { Place } from '@/core/vehicle'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { intoView, NoteField, RemoveButton, SeverityChoice } from '../survey/defect-parts'

type Props = {
  place: Place
  defects: readonly PlaceDefect[]
  readOnly: boolean
  onChange: (defects: PlaceDefect[]) => void
  children?: ReactNode
}

/** What is wrong with a wheel, a lamp, the glass, the inside: noted, not graded, since no film is spent on it. */
export function PlaceEditor({ place, defects, readOnly, onChange, children }: Props) {
  return (
    <section className="sheet p-4" aria-label={place.name}>
      <h2 className="text-xl">{place.name}</h2>
      {defects.length === 0 && <p className="text-[15px] text-ink-soft">Nothing written down here.</p>}
      <ul>
        {defects.map((defect, index) => (
          <li
            key={index}
            className="flex min-h-11 items-center gap-2 border-b border-line py-1.5 text-[15px]"
          >
            <span className="grow leading-snug">
              <strong>{PLACE_DEFECT_MODEL[defect.kind].name}</strong>, {SEVERITY_NAME[defect.severity]}
              {defect.note && <span className="block text-sm text-ink-soft">{defect.note}</span>}
              <span className="block text-sm text-ink-soft">
                for {PLACE_DEFECT_MODEL[defect.kind].remedy}
              </span>
            </span>
            {!readOnly && (
              <RemoveButton
                what={PLACE_DEFECT_MODEL[defect.kind].name}
                onRemove={() => onChange(defects.filter((_, position) => position !== index))}
              />
            )}
          </li>
        ))}
      </ul>
      {!readOnly && <NewPlaceDefect place={place} onAdd={(defect) => onChange([...defects, defect])} />}
      {children}
    </section>
  )
}

function NewPlaceDefect({ place, onAdd }: { place: Place; onAdd: (defect: PlaceDefect) => void }) {
  const [kind, setKind] = useState<PlaceDefectKind>()
  const [severity, setSeverity] = useState<Severity>(2)
  const [note, setNote] = useState('')
  return (
    <div className="mt-3">
      <Choice
        label="What is it?"
        options={placeDefectsOn(place.surface).map((each) => ({
          value: each,
          name: PLACE_DEFECT_MODEL[each].name,
        }))}
        value={kind}
        onChange={setKind}
      />
      {kind && (
        <div ref={intoView} className="mt-3 space-y-3 rounded bg-lichen/60 p-3">
          <SeverityChoice value={severity} onChange={setSeverity} />
          <NoteField value={note} onChange={setNote} />
          <Button
            className="w-full"
            onClick={() => {
              onAdd({ kind, severity, note: note.trim() })
              setKind(undefined)
              setNote('')
            }}
          >
            Add {PLACE_DEFECT_MODEL[kind].name.toLowerCase()}
          </Button>
        </div>
      )}
    </div>
  )
}
