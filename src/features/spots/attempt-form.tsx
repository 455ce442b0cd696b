'use client'

import { useState } from 'react'
import type { MethodKey, PanelGroup, PanelOption } from '@/core/correction'
import type { JobId } from '@/core/ids'
import type { Region } from '@/core/region'
import {
  DEFECT_KINDS,
  DEFECT_MODEL,
  type DefectKind,
  type PanelJudgement,
  type Severity,
} from '@/core/survey'
import { HAZES, type Haze, HEATS, type Heat, VERDICTS, type Verdict } from '@/core/test-spot'
import { keepAttempt } from '@/server/survey/spot-actions'
import { methodTitle, SPOT_VERDICT } from '@/text/en/correction'
import { FORBIDDEN } from '@/text/en/forbidden'
import { staffPanelName } from '@/text/en/staff-panels'
import { SEVERITY_NAME } from '@/text/en/survey'
import { unitSign } from '@/text/formats'
import { markTitle } from '@/text/marks'
import { numberOf, readQuantity } from '@/text/typed'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { Refused } from '@/ui/refused'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'
import { Camera } from '../photos/camera'
import type { Photos } from '../photos/use-photos'
import { type RememberedRecipe, same, stepTitle, TypedStepFields, typedSteps } from './attempt-step'
import { markOn } from './ladder'

type Props = {
  jobId: JobId
  judged: PanelJudgement
  group: PanelGroup
  open: readonly PanelOption[]
  proposed: MethodKey
  /** How the shop last worked paint like this by one of these methods. */
  remembered?: RememberedRecipe
  album: Photos
}

/** Readings as they are typed one after the other, µm; not a number where one cannot be read. */
const readings = (region: Region, text: string) =>
  text
    .split(/[\s;]+/)
    .filter(Boolean)
    .map((each) => {
      const typed = readQuantity(region, 'depth', each)
      return typed.kind === 'number' ? typed.value : Number.NaN
    })
const SEVERITIES: readonly Severity[] = [1, 2, 3]
const POLISHABLE = DEFECT_KINDS.filter((kind) => DEFECT_MODEL[kind].mend === 'polish')

/** One try at a test spot, filled in beside the car. */
export function AttemptForm({ jobId, judged, group, open, proposed, remembered, album }: Props) {
  const region = useRegion()
  const depth = unitSign(region, 'depth')
  const mark = markOn(judged)
  const [process, setProcess] = useState(proposed)
  const [steps, setSteps] = useState(() => typedSteps(open, proposed, remembered))
  // The worst mark of the panel that is touched, until another is said.
  const [ownKind, setKind] = useState<DefectKind>()
  const [ownSeverity, setSeverity] = useState<Severity>()
  const [kind, severity] = [ownKind ?? mark.kind, ownSeverity ?? mark.severity]
  const [cleared, setCleared] = useState('')
  const [haze, setHaze] = useState<Haze>('none')
  const [heat, setHeat] = useState<Heat>('warm')
  const [film, setFilm] = useState({ before: '', after: '' })
  const [verdict, setVerdict] = useState<Verdict>()
  const [note, setNote] = useState('')
  const photos = album.photos.filter(({ place }) => place === judged.panel.id)
  const [before] = useState(photos.length)
  const [chosenPhoto, setChosenPhoto] = useState<string>()
  // What is photographed while the form is open is of this spot.
  const photoId = chosenPhoto ?? photos.slice(before).at(-1)?.id ?? ''
  const { run, pending, refusal } = useAction()
  const rung = open.find(({ method }) => method.key === process)
  const error = (...fields: string[]) =>
    refusal && fields.includes(refusal.field.split('.')[1] ?? '') ? refusal.message : undefined
  const climb = (key: MethodKey) => {
    setProcess(key)
    setSteps(typedSteps(open, key, remembered))
  }
  const keep = () =>
    run(keepAttempt, {
      jobId,
      attempt: {
        panel: judged.panel.id,
        group,
        process,
        steps: steps.map((step) => ({
          ...step,
          dial: numberOf(step.dial),
          passes: numberOf(step.passes),
          sectionM: numberOf(step.sectionM),
        })),
        mark: { kind, severity },
        cleared: numberOf(cleared) / 100,
        haze,
        heat,
        beforeUm: readings(region, film.before),
        afterUm: readings(region, film.after),
        verdict,
        note,
      },
      ...(photoId ? { photoId } : {}),
    })
  const text = (
    label: string,
    value: string,
    change: (value: string) => void,
    field: string,
    more: { hint?: string; decimal?: boolean } = {},
  ) => (
    <Field label={label} {...(more.hint ? { hint: more.hint } : {})} error={error(field)}>
      {more.decimal ? (
        <NumberInput value={value} onChange={change} />
      ) : (
        <input
          className="field"
          autoComplete="off"
          value={value}
          onChange={(event) => change(event.target.value)}
        />
      )}
    </Field>
  )
  return (
    <section className="sheet mt-5 space-y-4 p-4" aria-label="Record a test spot">
      <h2 className="text-xl">Record a test spot: {staffPanelName(region, judged.panel.id)}</h2>
      <Choice
        label="Method"
        options={open.map(({ method }) => ({ value: method.key, name: methodTitle(method) }))}
        value={process}
        onChange={climb}
      />
      {[...(rung?.broken ?? []), ...(rung?.cautions ?? [])].map(({ id }) => (
        <p key={id} className="border-l-4 border-copper bg-copper-soft px-3 py-1 text-[15px]">
          {FORBIDDEN[id]}
        </p>
      ))}
      {steps.map((step, at) => (
        <TypedStepFields
          key={at}
          step={step}
          name={stepTitle(at, steps.length)}
          error={(field) => (refusal?.field === `attempt.steps.${at}.${field}` ? refusal.message : undefined)}
          onChange={(next) => setSteps(steps.with(at, next))}
        />
      ))}
      <div className="grid gap-3 sm:grid-cols-[1fr_auto_8rem]">
        <Field label="Defect">
          <select
            className="field"
            value={kind}
            onChange={(event) => setKind(event.target.value as DefectKind)}
          >
            {POLISHABLE.map((each) => (
              <option key={each} value={each}>
                {markTitle(region, each)}
              </option>
            ))}
          </select>
        </Field>
        <Choice
          label="Severity"
          options={SEVERITIES.map((value) => ({ value, name: SEVERITY_NAME[value] }))}
          value={severity}
          onChange={setSeverity}
        />
        {text('Removed, %', cleared, setCleared, 'cleared', { decimal: true })}
      </div>
      <div className="flex flex-wrap gap-x-8 gap-y-3">
        <Choice
          label="Haze after wiping"
          options={same(HAZES) as { value: Haze; name: string }[]}
          value={haze}
          onChange={setHaze}
        />
        <Choice
          label="Hand on the panel"
          options={same(HEATS) as { value: Heat; name: string }[]}
          value={heat}
          onChange={setHeat}
        />
      </div>
      {heat === 'hot' && (
        <p className="border-l-4 border-copper bg-copper-soft px-3 py-1 text-[15px]">
          A hot panel is a warning: paint softens, plastic warps. Stop, let it cool, change the pad.
        </p>
      )}
      <div className="grid gap-3 sm:grid-cols-2">
        {text(
          `Paint depth before, ${depth}`,
          film.before,
          (before) => setFilm({ ...film, before }),
          'beforeUm',
          {
            hint: 'Several readings of the square, with spaces between them (optional).',
          },
        )}
        {text(`Paint depth after, ${depth}`, film.after, (after) => setFilm({ ...film, after }), 'afterUm', {
          hint: 'The same square again.',
        })}
      </div>
      <Choice
        label="Result"
        options={VERDICTS.map((value) => ({ value, name: SPOT_VERDICT[value].name }))}
        value={verdict}
        onChange={setVerdict}
      />
      {verdict && <p className="-mt-3 text-sm text-ink-soft">{SPOT_VERDICT[verdict].means}</p>}
      {error('verdict') && <p className="-mt-3 text-sm font-semibold text-copper">{error('verdict')}</p>}
      <div className="flex flex-wrap items-end gap-3">
        <Camera
          label="Photograph the spot"
          onFiles={(files) => album.take(files, { place: judged.panel.id, phase: 'before' })}
        />
        {photos.length > 0 && (
          <div className="min-w-48 grow">
            <Field label="Photograph">
              <select
                className="field"
                value={photoId}
                onChange={(event) => setChosenPhoto(event.target.value)}
              >
                <option value="">none</option>
                {photos.map(({ id }, at) => (
                  <option key={id} value={id}>
                    {at + 1}. of {staffPanelName(region, judged.panel.id)}
                    {at >= before ? ', just taken' : ''}
                  </option>
                ))}
              </select>
            </Field>
          </div>
        )}
        {album.pending.map(({ key, fault }) => (
          <p key={key} role="status" className={fault ? 'text-copper' : 'text-ink-soft'}>
            {fault ?? 'Sending the photograph…'}
          </p>
        ))}
      </div>
      {text('Note', note, setNote, 'note')}
      <p className="text-sm text-ink-soft">
        Tie back cords, hair and sleeves at the machine. Panel wipe: ventilate, no flame; no strong alcohol on
        single stage.
      </p>
      <div className="flex flex-wrap items-center gap-4">
        <Button disabled={pending} onClick={keep}>
          {pending ? 'Saving…' : 'Save test spot'}
        </Button>
        <Refused refusal={refusal} />
      </div>
    </section>
  )
}
