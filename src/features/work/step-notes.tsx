import { useState } from 'react'
import { workOn } from '@/core/card'
import { type NoteTo, noteWaitsFor } from '@/core/card/notes'
import { moment } from '@/text/formats'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import type { StepProps } from './use-card'

const SEND: Record<NoteTo, string> = { next: 'Leave it for the next shift', office: 'Ask the office' }

/** Words on a step: for whoever goes on with it, and questions to the office with their answers. */
export function StepNotes({ card, operation, me }: StepProps) {
  const [text, setText] = useState('')
  const [isEmpty, setIsEmpty] = useState(false)
  const { view, state, now } = card
  const { notes } = workOn(state, operation.id)
  const nameOf = (id: string) => view.people.find((person) => person.id === id)?.name ?? 'The office'
  const send = (to: NoteTo) => {
    setIsEmpty(text.trim() === '')
    if (text.trim() === '') return
    card.add(me, { kind: 'note', operation: operation.id, to, text: text.trim() })
    setText('')
  }
  return (
    <section aria-label="Notes on this step" className="mt-5 border-t border-line pt-4">
      <ul className="space-y-3">
        {notes.map((note) => (
          <li
            key={note.id}
            className="border-l-4 border-bracken pl-3"
            data-state={noteWaitsFor(note) ?? 'over'}
          >
            <p className="text-lg">
              <strong className="font-semibold">{nameOf(note.by)}</strong>
              {note.to === 'office' ? ' to the office' : ''}, {moment(view.region, note.at, now)}: {note.text}
            </p>
            {note.answer && (
              <p className="text-lg">
                <strong className="font-semibold">{nameOf(note.answer.by)}</strong>,{' '}
                {moment(view.region, note.answer.at, now)}: {note.answer.text}
              </p>
            )}
            {noteWaitsFor(note) === 'answer' && <p className="text-ink-soft">Waits for an answer.</p>}
            {noteWaitsFor(note) === 'reader' && (
              <Button
                look="outline"
                onClick={() => card.add(me, { kind: 'note-read', operation: operation.id, note: note.id })}
              >
                I have read it
              </Button>
            )}
          </li>
        ))}
      </ul>
      <div className="mt-3 space-y-2">
        <Field label="A note on this step" {...(isEmpty ? { error: 'Write the note first.' } : {})}>
          <textarea
            className="field"
            rows={2}
            maxLength={300}
            value={text}
            onChange={({ target }) => setText(target.value)}
          />
        </Field>
        <div className="flex flex-wrap gap-2">
          {(['next', 'office'] as const).map((to) => (
            <Button key={to} look="outline" onClick={() => send(to)}>
              {SEND[to]}
            </Button>
          ))}
        </div>
      </div>
    </section>
  )
}
