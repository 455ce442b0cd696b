'use client'

import clsx from 'clsx'
import { useState, useTransition } from 'react'
import { conditionBreachText } from '@/core/coating'
import { atLocal, dayIn, type Instant, localDayOrThrow, plusMinutes } from '@/core/time'
import { finishOperation, startOperation, type WorkAnswer } from '@/server/actions/work'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { typedNumber } from '@/ui/typed-number'
import { clock, duration, moment } from '@/ui/when'
import { windowText } from '../window-text'
import type { LayerConditions, Step } from './card'

type Props = {
  jobId: string
  step: Step
  conditions?: LayerConditions
  people: { id: string; name: string }[]
  zone: string
  now: Instant
}

/** What an `<input type="datetime-local">` holds, on the shop's clock. */
function toLocalText(zone: string, at: Instant): string {
  return `${dayIn(zone, at)}T${clock(zone, at)}`
}

function fromLocalText(zone: string, text: string): string {
  const [day, time] = text.split('T')
  return day && time ? atLocal(zone, localDayOrThrow(day), time.slice(0, 5)) : ''
}

/** The step at hand, large: how, with what care, by whom, and from when to when it was really done. */
export function StepCard({ jobId, step, conditions, people, zone, now }: Props) {
  const { operation, progress, planned } = step
  if (operation.mode === 'unattended') return <HoldCard step={step} zone={zone} now={now} />
  return (
    <section className="sheet self-start p-6" aria-label={operation.title}>
      <p className="eyebrow">
        {progress.kind === 'started' ? `Begun ${moment(zone, progress.at, now)}` : 'Next'}
        {planned && `, planned ${moment(zone, planned.start, now)} to ${moment(zone, planned.end, now)}`}
      </p>
      <h1 className="mt-1 text-4xl">{operation.title}</h1>
      <p className="mt-1 text-lg text-ink-soft">about {duration(operation.minutes)}</p>
      {step.window && progress.kind === 'open' && (
        <p
          className={clsx('mt-4 rounded bg-copper-soft px-4 py-3 text-xl font-semibold text-copper')}
          data-testid="window"
        >
          {windowText(step.window, { zone, now })}
        </p>
      )}
      {step.recipe && <p className="mt-4 text-lg leading-relaxed">{step.recipe}</p>}
      {step.caution && <p className="mt-4 border-l-4 border-copper pl-4 leading-relaxed">{step.caution}</p>}
      {conditions && <Conditions conditions={conditions} />}
      <RecordForm jobId={jobId} step={step} conditions={conditions} people={people} zone={zone} now={now} />
    </section>
  )
}

function HoldCard({ step, zone, now }: { step: Step; zone: string; now: Instant }) {
  const { operation, progress } = step
  const until = progress.kind === 'started' ? plusMinutes(progress.at, operation.minutes) : step.planned?.end
  return (
    <section
      className="self-start rounded-md border-2 border-copper bg-sheet p-6"
      aria-label={operation.title}
    >
      <p className="eyebrow text-copper">Waiting</p>
      <h1 className="mt-1 text-4xl text-copper">{operation.title}</h1>
      {until && <p className="mt-3 text-3xl font-semibold">Until {moment(zone, until, now)}</p>}
      <p className="mt-4 text-lg">{step.caution}</p>
      <p className="mt-3 text-ink-soft">
        It began by itself with the end of the step before. Nobody needs to press anything.
      </p>
    </section>
  )
}

function Conditions({
  conditions: { climate, breaches, dewMarginC, flash, product },
}: {
  conditions: LayerConditions
}) {
  const go = breaches.length === 0
  return (
    <div
      className={clsx('mt-5 rounded border-2 p-4', go ? 'border-fern' : 'border-copper')}
      data-testid="conditions"
    >
      <p className={clsx('font-head text-xl font-bold', go ? 'text-fern' : 'text-copper')}>
        {go ? `Go for ${product.name}` : `Do not lay ${product.name} now`}
      </p>
      <p className="mt-1">
        Air {climate.airC.toFixed(1)} °C, humidity {climate.rhPercent.toFixed(0)} %, panel{' '}
        {climate.panelC.toFixed(1)} °C, {dewMarginC?.toFixed(1)} °C above the dew point. Flash about{' '}
        {Math.round(flash.min)} to {Math.round(flash.max)} s; the look of the film decides.
      </p>
      {breaches.map((breach) => (
        <p key={breach.rule} className="mt-1 text-copper">
          {conditionBreachText(breach)}
        </p>
      ))}
    </div>
  )
}

function RecordForm({ jobId, step, conditions, people, zone, now }: Props) {
  const { operation, progress, planned } = step
  const started = progress.kind === 'started' ? progress.at : now
  const [by, setBy] = useState(
    (progress.kind === 'started' && progress.by) || planned?.people[0] || people[0]!.id,
  )
  const [from, setFrom] = useState(toLocalText(zone, started))
  const [to, setTo] = useState(toLocalText(zone, now))
  const [layer, setLayer] = useState({
    lot: '',
    airC: conditions?.climate.airC.toFixed(1) ?? '',
    rhPercent: conditions?.climate.rhPercent.toFixed(0) ?? '',
    panelC: conditions?.climate.panelC.toFixed(1) ?? '',
  })
  const [answer, setAnswer] = useState<WorkAnswer>()
  const [pending, startTransition] = useTransition()
  const errorAt = (field: string) =>
    answer?.kind === 'refused' && answer.field === field ? answer.message : undefined
  const knownFields = ['by', 'startedAt', 'endedAt', ...Object.keys(layer)]
  const general =
    answer?.kind === 'refused' && !knownFields.includes(answer.field ?? '') ? answer.message : undefined
  const send = (action: () => Promise<WorkAnswer>) =>
    startTransition(async () =>
      setAnswer(
        await action().catch(
          (): WorkAnswer => ({
            kind: 'refused',
            message: 'The server does not answer. Nothing is lost here; try again.',
          }),
        ),
      ),
    )
  const finish = () =>
    finishOperation({
      jobId,
      operationId: operation.id,
      startedAt: fromLocalText(zone, from),
      endedAt: fromLocalText(zone, to),
      by,
      ...(operation.kind === 'layer'
        ? {
            layer: {
              productId: operation.productId,
              lot: layer.lot,
              airC: typedNumber(layer.airC),
              rhPercent: typedNumber(layer.rhPercent),
              panelC: typedNumber(layer.panelC),
            },
          }
        : {}),
    })
  const layerField = (name: keyof typeof layer, label: string) => (
    <Field label={label} error={errorAt(name)}>
      <input
        className="field"
        autoComplete="off"
        inputMode={name === 'lot' ? 'text' : 'decimal'}
        value={layer[name]}
        onChange={(event) => setLayer({ ...layer, [name]: event.target.value })}
      />
    </Field>
  )
  return (
    <div className="mt-6 border-t border-line pt-5">
      {operation.kind === 'layer' && (
        <div className="mb-4 grid gap-3 sm:grid-cols-4">
          {layerField('lot', 'Lot on the bottle')}
          {layerField('airC', 'Air, °C')}
          {layerField('rhPercent', 'Humidity, %')}
          {layerField('panelC', 'Panel, °C')}
        </div>
      )}
      <div className="grid gap-3 sm:grid-cols-3">
        <Field label="Who" error={errorAt('by')}>
          <select className="field" value={by} onChange={(event) => setBy(event.target.value)}>
            {people.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Really began" error={errorAt('startedAt')}>
          <input
            className="field"
            type="datetime-local"
            value={from}
            onChange={(event) => setFrom(event.target.value)}
          />
        </Field>
        <Field label="Really ended" error={errorAt('endedAt')}>
          <input
            className="field"
            type="datetime-local"
            value={to}
            onChange={(event) => setTo(event.target.value)}
          />
        </Field>
      </div>
      {general && (
        <p role="alert" className="mt-3 font-semibold text-copper">
          {general}
        </p>
      )}
      <div className="mt-5 flex flex-wrap gap-3">
        {progress.kind === 'open' && (
          <Button
            look="outline"
            className="min-h-14 px-8 text-lg"
            disabled={pending}
            onClick={() => send(() => startOperation(jobId, operation.id, by))}
          >
            Begin now
          </Button>
        )}
        <Button className="min-h-14 px-8 text-lg" disabled={pending} onClick={() => send(finish)}>
          {operation.kind === 'layer' ? 'Log the layer as done' : 'Done'}
        </Button>
      </div>
    </div>
  )
}
