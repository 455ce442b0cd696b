'use client'

import { useState } from 'react'
import { noteWaitsFor } from '@/core/card/notes'
import type { PersonId } from '@/core/ids'
import type { WaitingNote } from '@/core/planning'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { answerNote } from '@/server/work/note-actions'
import { stepTitle } from '@/text/en/step-names'
import { moment } from '@/text/formats'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { Link } from '@/ui/link'
import { useAction } from '@/ui/use-action'

type Props = {
  notes: readonly WaitingNote[]
  people: readonly { id: PersonId; name: string }[]
  region: Region
  now: Instant
  /** Questions can be answered here. */
  office?: boolean
}

/** Notes from the cars until somebody has answered or read them. */
export function CarNotes({ notes, people, region, now, office = false }: Props) {
  if (notes.length === 0) return null
  const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? 'The office'
  return (
    <section aria-label="Notes from the cars" className="mb-4 rounded border-l-4 border-bracken bg-sheet p-4">
      <h2 className="text-lg">Notes from the cars</h2>
      <ul className="mt-1">
        {notes.map(({ jobId, plate, title, operation, note }) => (
          <li key={note.id} className="border-t border-line py-2">
            <p>
              <Link href={`/jobs/${jobId}/work`} className="font-head font-semibold">
                {plate}
              </Link>{' '}
              {stepTitle(region, title)}. {nameOf(note.by)}
              {note.to === 'office' ? ' asks' : ''}, {moment(region, note.at, now)}: {note.text}
            </p>
            {note.answer && (
              <p>
                {nameOf(note.answer.by)}: {note.answer.text}
              </p>
            )}
            {office && noteWaitsFor(note) === 'answer' && (
              <Answer jobId={jobId} operation={operation} note={note.id} people={people} />
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}

function Answer({
  jobId,
  operation,
  note,
  people,
}: Pick<WaitingNote, 'jobId' | 'operation'> & { note: string; people: Props['people'] }) {
  const { run, pending, refusal, clear } = useAction()
  const [text, setText] = useState('')
  const [by, setBy] = useState<PersonId | undefined>(people[0]?.id)
  return (
    <div className="mt-2 grid items-start gap-3 sm:grid-cols-[10rem_1fr_auto]">
      <Field label="Who answers">
        <select className="field" value={by} onChange={({ target }) => setBy(target.value as PersonId)}>
          {people.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </Field>
      <Field label="Answer" error={refusal?.message}>
        <input
          className="field"
          value={text}
          onChange={({ target }) => {
            clear()
            setText(target.value)
          }}
        />
      </Field>
      <Button
        className="sm:mt-6"
        disabled={pending || !by}
        onClick={() => by && run(answerNote, { jobId, operation, note, by, text })}
      >
        Send to the card
      </Button>
    </div>
  )
}
