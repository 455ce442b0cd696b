'use client'

import { useState } from 'react'
import type { KeptLook } from '@/core/aftercare'
import { CAUSES, FEELS, type Feel, WATERS, type Water } from '@/core/aftercare'
import type { JobId } from '@/core/ids'
import { panelsOf, type Shape } from '@/core/vehicle'
import { endVisit } from '@/server/aftercare/visit-actions'
import { CAUSE_WORDS, FEEL_WORDS, WATER_WORDS } from '@/text/en/aftercare'
import { BodyPlan, type PanelFace } from '@/ui/body-plan'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { useAction } from '@/ui/use-action'
import { Hatches } from '../survey/hatches'
import { DropAngle } from './drop-angle'
import { useLooks } from './use-looks'

type Unit = { id: string; name: string }
export type LastLook = { water: Water; feel?: Feel; angleDegrees?: number; on: string }

type Props = {
  jobId: JobId
  shape: Shape
  /** Panels in walking order, then the other coated surfaces. */
  units: readonly Unit[]
  looks: readonly KeptLook[]
  /** What each part did at the visit before. */
  before: Readonly<Record<string, LastLook>>
  people: readonly { id: string; name: string }[]
  closed: boolean
  unplanned: boolean
}

const SIGN: Record<Water, string> = { tight: '●', loose: '○', sheets: '≈', wets: '▬' }
const BAD: readonly Water[] = ['sheets', 'wets']

/** The look at a visit, panel by panel: what water does, how it feels, and what has done it where it fails. */
export function LookSheet({ jobId, shape, units, looks: kept, before, people, closed, unplanned }: Props) {
  const [selected, setSelected] = useState(units[0]!.id)
  const [by, setBy] = useState<string | undefined>(kept[0]?.by)
  const [cleaned, setCleaned] = useState(kept[0]?.cleaned ?? false)
  // What was just touched, before the shop has answered: the next touch must build on it.
  const noting = useLooks(jobId, kept)
  const looks = units.flatMap(({ id }): Touched[] => {
    const noted = noting.noted[id]
    if (noted === 'taken-back') return []
    const look = noted?.look ?? kept.find(({ unit }) => unit === id)
    return look ? [typed(id, look)] : []
  })
  const { run, pending, refusal } = useAction()
  const known = looks.find(({ unit }) => unit === selected)
  const unit = units.find(({ id }) => id === selected)!
  const open = units.filter(({ id }) => !looks.some((look) => look.unit === id))
  const keep = (changed: Partial<KeptLook> & Pick<KeptLook, 'water'>, goOn: boolean) => {
    note([typed(selected, { ...known, ...changed })])
    const next = by && goOn && open.find(({ id }) => id !== selected)
    if (next) setSelected(next.id)
  }
  const note = (seen: readonly Touched[]) => noting.add(seen, { by: by ?? '', cleaned })
  const allOthers = () => note(open.map(({ id }) => typed(id, { water: 'tight', feel: 'slick' })))
  const faces = Object.fromEntries(units.map((each) => [each.id, faceOf(each, looks)]))
  return (
    <section className="sheet p-5" aria-label="Inspection">
      <h1 className="text-3xl">What does the water do?</h1>
      <p className="mt-1 text-lg" data-testid="look-progress">
        {open.length === 0
          ? 'Every part is inspected.'
          : `${units.length - open.length} of ${units.length} inspected. Use a fine spray, one panel after another.`}
      </p>
      {!closed && (
        <div className="mt-3 flex flex-wrap items-end gap-x-6 gap-y-3">
          <Choice
            label="Inspected by"
            options={people.map(({ id, name }) => ({ value: id, name }))}
            value={by}
            onChange={setBy}
          />
          <Choice
            label="Decontaminated (iron and tar), panels wiped"
            options={[
              { value: 'yes', name: 'Yes' },
              { value: 'no', name: 'No, only washed' },
            ]}
            value={cleaned ? 'yes' : 'no'}
            onChange={(value) => setCleaned(value === 'yes')}
          />
        </div>
      )}
      {!closed && !cleaned && (
        <p className="mt-2 text-ink-soft">
          On a car that was only washed, water alone finds no panel that has failed. Decontaminate it first,
          or photograph a drop.
        </p>
      )}
      {/* Small enough that the buttons below are in reach without scrolling. */}
      <div className="mx-auto max-w-xl">
        <BodyPlan
          shape={shape}
          panels={panelsOf(shape)}
          faces={faces}
          selected={selected}
          onSelect={setSelected}
        >
          <Hatches />
        </BodyPlan>
      </div>
      <p className="text-sm text-ink-soft">
        {WATERS.map((water) => `${SIGN[water]} ${WATER_WORDS[water].name.toLowerCase()}`).join('   ')}
      </p>
      {units.length > panelsOf(shape).length && (
        <div className="mt-2 flex flex-wrap gap-2">
          {units.slice(panelsOf(shape).length).map(({ id, name }) => (
            <Button key={id} look="outline" aria-pressed={id === selected} onClick={() => setSelected(id)}>
              {name}
            </Button>
          ))}
        </div>
      )}
      <div className="mt-4 border-t border-line pt-4">
        <p className="font-head text-2xl font-semibold" data-testid="part">
          {unit.name}
        </p>
        <p className="text-ink-soft">{beforeText(before[selected])}</p>
        {closed ? (
          <p className="mt-2">{known ? WATER_WORDS[known.water].name : 'Not inspected.'}</p>
        ) : (
          <>
            <fieldset className="mt-3 grid gap-2 sm:grid-cols-2" aria-label="Water">
              {WATERS.map((water) => (
                <button
                  key={water}
                  type="button"
                  aria-pressed={known?.water === water}
                  onClick={() => keep({ water }, !BAD.includes(water))}
                  className="min-h-16 rounded border-2 border-line bg-sheet px-3 py-2 text-left hover:bg-lichen aria-pressed:border-fern aria-pressed:bg-fern-soft"
                >
                  <span className="block font-head text-lg font-semibold">{WATER_WORDS[water].name}</span>
                  <span className="text-[15px]">{WATER_WORDS[water].means}</span>
                </button>
              ))}
            </fieldset>
            {known && (
              <Details
                key={selected}
                look={known}
                pending={pending}
                onKeep={(changed) => keep({ ...known, ...changed }, false)}
                onBack={() => noting.takeBack(selected)}
              />
            )}
            {(refusal || noting.refusal) && (
              <p role="alert" className="mt-3 font-semibold text-copper">
                {refusal?.message ?? noting.refusal}
              </p>
            )}
            {!noting.reached && noting.waiting.length > 0 && (
              <p role="status" className="mt-3 font-semibold">
                {noting.waiting.length} {noting.waiting.length === 1 ? 'result waits' : 'results wait'} on
                this tablet until the server is reached again. Go on; nothing is lost.
              </p>
            )}
            <div className="mt-4 flex flex-wrap gap-3">
              {open.length > 0 && open.length < units.length && (
                <Button look="outline" onClick={allOthers}>
                  All {open.length} others: tight and slick
                </Button>
              )}
              {unplanned && looks.length > 0 && (
                <Button
                  look="outline"
                  disabled={pending || noting.waiting.length > 0}
                  onClick={() => run(endVisit, { jobId })}
                >
                  Finish visit and hand over
                </Button>
              )}
            </div>
          </>
        )}
      </div>
    </section>
  )
}

type Touched = ReturnType<typeof typed>

function typed(unit: string, look: Partial<KeptLook> & Pick<KeptLook, 'water'>) {
  const { water, feel, angleDegrees, cause, note = '' } = look
  return {
    unit,
    water,
    note,
    ...(feel ? { feel } : {}),
    ...(angleDegrees === undefined ? {} : { angleDegrees }),
    ...(cause ? { cause } : {}),
  }
}

function faceOf({ id, name }: Unit, looks: readonly Touched[]): PanelFace {
  const look = looks.find(({ unit }) => unit === id)
  if (!look) return { fill: 'var(--c-sheet)', ink: 'var(--c-ink)', text: '', label: `${name}: not inspected` }
  const bad = BAD.includes(look.water)
  return {
    fill: bad ? 'var(--c-copper-soft)' : look.water === 'tight' ? 'var(--c-fern-soft)' : 'var(--c-lichen)',
    ink: bad ? 'var(--c-copper)' : 'var(--c-ink)',
    text: SIGN[look.water],
    label: `${name}: ${WATER_WORDS[look.water].name.toLowerCase()}`,
    ...(bad ? { mark: 'noted' as const } : {}),
  }
}

function beforeText(before: LastLook | undefined): string {
  if (!before) return 'First inspection since it was coated.'
  const { water, feel, angleDegrees, on } = before
  return [
    `Last time, ${on}: ${WATER_WORDS[water].name.toLowerCase()}`,
    feel ? FEEL_WORDS[feel].toLowerCase() : '',
    angleDegrees === undefined ? '' : `${angleDegrees.toFixed(0)}°`,
  ]
    .filter(Boolean)
    .join(', ')
    .concat('.')
}

type DetailProps = {
  look: Touched
  pending: boolean
  onKeep: (changed: Partial<KeptLook>) => void
  onBack: () => void
}

/** What is asked once the water is known: how it feels, the angle of a drop, and where it fails, why. */
function Details({ look, pending, onKeep, onBack }: DetailProps) {
  const [note, setNote] = useState(look.note)
  return (
    <div className="mt-4 space-y-3">
      <Choice
        label="Towel drag test"
        options={FEELS.map((value) => ({ value, name: FEEL_WORDS[value] }))}
        value={look.feel}
        onChange={(feel) => onKeep({ feel })}
      />
      {BAD.includes(look.water) && (
        <Choice
          label="Likely cause"
          options={CAUSES.map((value) => ({ value, name: CAUSE_WORDS[value] }))}
          value={look.cause}
          onChange={(cause) => onKeep({ cause })}
        />
      )}
      <DropAngle degrees={look.angleDegrees} onAngle={(angleDegrees) => onKeep({ angleDegrees })} />
      <Field label="Note">
        <input
          className="field"
          value={note}
          onChange={(event) => setNote(event.target.value)}
          onBlur={() => note !== look.note && onKeep({ note })}
        />
      </Field>
      <Button look="quiet" disabled={pending} onClick={onBack}>
        Undo this result
      </Button>
    </div>
  )
}
