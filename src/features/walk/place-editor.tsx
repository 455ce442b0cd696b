'use client'

import { type ReactNode, useState } from 'react'
import { type PlaceDefect, type PlaceDefectKind, placeDefectsOn, type Severity } from '@/core/survey'
import type { Place } from '@/core/vehicle'
import { staffPanel } from '@/text/en/staff-panels'
import { SEVERITY_NAME } from '@/text/en/survey'
import { markName, markNeeds, markTitle } from '@/text/marks'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { useRegion } from '@/ui/region'
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
  const region = useRegion()
  return (
    <section className="sheet p-4" aria-label={staffPanel(region, place.id)}>
      <h2 className="text-xl">{staffPanel(region, place.id)}</h2>
      {defects.length === 0 && <p className="text-[15px] text-ink-soft">No defects recorded here.</p>}
      <ul>
        {defects.map((defect, index) => (
          <li
            key={index}
            className="flex min-h-11 items-center gap-2 border-b border-line py-1.5 text-[15px]"
          >
            <span className="grow leading-snug">
              <strong>{markTitle(region, defect.kind)}</strong>, {SEVERITY_NAME[defect.severity]}
              {defect.note && <span className="block text-sm text-ink-soft">{defect.note}</span>}
              <span className="block text-sm text-ink-soft">{markNeeds(region, defect.kind)}</span>
            </span>
            {!readOnly && (
              <RemoveButton
                what={markTitle(region, defect.kind)}
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
  const region = useRegion()
  const [kind, setKind] = useState<PlaceDefectKind>()
  const [severity, setSeverity] = useState<Severity>(2)
  const [note, setNote] = useState('')
  return (
    <div className="mt-3">
      <Choice
        label="What is it?"
        options={placeDefectsOn(place.surface).map((each) => ({
          value: each,
          name: markTitle(region, each),
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
            Add {markName(region, kind)}
          </Button>
        </div>
      )}
    </div>
  )
}
