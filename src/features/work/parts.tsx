import { useState } from 'react'
import { isOff, type Part, type PartKind, type PartPlace } from '@/core/card'
import { partPhotoPlace } from '@/core/photo/part-photo'
import { PART_PLACE } from '@/text/en/card'
import { moment } from '@/text/formats'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { later } from '@/ui/later'
import type { Photos } from '../photos/use-photos'
import type { StepProps } from './use-card'

const PhotoStrip = later(
  () => import('../photos/photo-strip').then(({ PhotoStrip: strip }) => strip),
  // A line, and the camera below it.
  '5.0625rem',
)

const KINDS: { value: PartKind; name: string }[] = [
  { value: 'part', name: 'A part of the car' },
  { value: 'belonging', name: 'The owner’s' },
]

/** What came off the car and what of its owner’s was in it: where each lies, and that all of it is back. */
export function Parts({ card, operation, me, album }: StepProps & { album: Photos }) {
  const { parts } = card.state
  const off = parts.filter(isOff).length
  const [open, setOpen] = useState(false)
  return (
    <details
      className="mt-5 border-t border-line pt-3"
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
    >
      <summary className="min-h-11 py-2 font-head font-semibold underline decoration-ink-soft/50 underline-offset-4">
        {off > 0
          ? `Off the car: ${off}`
          : parts.length > 0
            ? 'All parts are back'
            : 'Something comes off the car'}
      </summary>
      {open && (
        <section aria-label="What came off the car" className="space-y-3">
          <ul>
            {parts.map((part) => (
              <PartLine key={part.id} part={part} card={card} operation={operation} me={me} album={album} />
            ))}
          </ul>
          <NewPart card={card} operation={operation} me={me} />
        </section>
      )}
    </details>
  )
}

function NewPart({ card, operation, me }: StepProps) {
  const [what, setWhat] = useState<PartKind>('part')
  const [name, setName] = useState('')
  const [shelf, setShelf] = useState('')
  const [wrong, setWrong] = useState<{ name?: string; shelf?: string }>({})
  const save = () => {
    const found = {
      ...(name.trim() ? {} : { name: 'Type what it is.' }),
      ...(shelf.trim() ? {} : { shelf: 'Type where it lies.' }),
    }
    setWrong(found)
    if (!name.trim() || !shelf.trim()) return
    card.add(me, {
      kind: 'part-off',
      operation: operation.id,
      what,
      name: name.trim(),
      shelf: shelf.trim(),
    })
    setName('')
  }
  return (
    <div className="space-y-3 rounded bg-lichen p-3">
      <Choice label="What it is" options={KINDS} value={what} onChange={setWhat} />
      <div className="grid items-start gap-3 sm:grid-cols-[1fr_1fr_auto]">
        <Field label="Name" error={wrong.name}>
          <input
            className="field"
            autoComplete="off"
            maxLength={60}
            value={name}
            onChange={({ target }) => setName(target.value)}
          />
        </Field>
        <Field label="Shelf or bag" error={wrong.shelf}>
          <input
            className="field"
            autoComplete="off"
            maxLength={60}
            value={shelf}
            onChange={({ target }) => setShelf(target.value)}
          />
        </Field>
        <Button className="sm:mt-6" onClick={save}>
          Put it on the list
        </Button>
      </div>
    </div>
  )
}

/** What can be said of a part from where it is, and whether words belong to it. */
const MOVES: Record<PartPlace, { place: PartPlace; name: string; asks?: string }[]> = {
  shelf: [
    { place: 'on', name: 'Back on' },
    { place: 'sent', name: 'Sent away', asks: 'To whom' },
    { place: 'lost', name: 'Not to be found' },
  ],
  sent: [
    { place: 'shelf', name: 'Here again' },
    { place: 'lost', name: 'Lost', asks: 'What they say' },
  ],
  lost: [
    { place: 'shelf', name: 'Found' },
    { place: 'settled', name: 'Settled with the owner', asks: 'How, in a word' },
  ],
  on: [{ place: 'shelf', name: 'Off again' }],
  settled: [{ place: 'shelf', name: 'Here after all' }],
}

function PartLine({ part, card, operation, me, album }: StepProps & { part: Part; album: Photos }) {
  const { view, now } = card
  const [asking, setAsking] = useState<{ place: PartPlace; asks: string }>()
  const [note, setNote] = useState('')
  const [wrong, setWrong] = useState('')
  const nameOf = (id: string) => view.people.find((person) => person.id === id)?.name ?? id
  const at = (of: Part['now']) => moment(view.region, of.at, now)
  const say = (place: PartPlace, words: string) => {
    card.add(me, { kind: 'part-to', operation: operation.id, part: part.id, place, note: words })
    setAsking(undefined)
    setNote('')
  }
  return (
    <li className="border-t border-line py-3" data-state={part.now.place}>
      <p className="text-lg">
        <strong className="font-semibold">{part.name}</strong>, {part.shelf}
        {part.what === 'belonging' ? ' (the owner’s)' : ''}
      </p>
      <p className="text-ink-soft">
        Taken off by {nameOf(part.by)}, {moment(view.region, part.at, now)}.{' '}
        {part.now.at !== part.at &&
          `Now ${part.what === 'belonging' && part.now.place === 'on' ? 'back in the car' : PART_PLACE[part.now.place]}${part.now.note ? `: ${part.now.note}` : ''} (${nameOf(part.now.by)}, ${at(part.now)}).`}
      </p>
      <PhotoStrip
        album={album}
        place={partPhotoPlace(part.id)}
        placeName={part.name}
        phase="before"
        readOnly={false}
      />
      <div className="mt-2 flex flex-wrap gap-2">
        {MOVES[part.now.place].map(({ place, name, asks }) => (
          <Button
            key={place}
            look={place === 'on' ? 'solid' : 'outline'}
            onClick={() => (asks ? setAsking({ place, asks }) : say(place, ''))}
          >
            {place === 'on' && part.what === 'belonging' ? 'Back in the car' : name}
          </Button>
        ))}
      </div>
      {asking && (
        <div className="mt-2 grid items-start gap-3 sm:grid-cols-[1fr_auto]">
          <Field label={asking.asks} error={wrong}>
            <input
              className="field"
              maxLength={120}
              value={note}
              onChange={({ target }) => setNote(target.value)}
            />
          </Field>
          <Button
            className="sm:mt-6"
            onClick={() => {
              setWrong(note.trim() ? '' : 'Say it in a word.')
              if (note.trim()) say(asking.place, note.trim())
            }}
          >
            Save
          </Button>
        </div>
      )}
    </li>
  )
}
