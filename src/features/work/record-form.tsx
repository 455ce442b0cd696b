'use client'

import { useState } from 'react'
import type { PlannedOperation } from '@/core/offer'
import { atLocal, dayIn, type Instant, localDayOrThrow } from '@/core/time'
import { finishOperation } from '@/server/work/work-actions'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { typedNumber } from '@/ui/typed-number'
import { useAction } from '@/ui/use-action'
import { clock } from '@/ui/when'
import type { Card } from './use-card'

/** What an `<input type="datetime-local">` holds, on the shop's clock. */
function toLocalText(zone: string, at: Instant): string {
  return `${dayIn(zone, at)}T${clock(zone, at)}`
}

function fromLocalText(zone: string, text: string): string {
  const [day, time] = text.split('T')
  return day && time ? atLocal(zone, localDayOrThrow(day), time.slice(0, 5)) : ''
}

/** A step written down afterwards, with the times at which it really was. It needs the shop, which checks it. */
export function RecordForm({ card, operation, me }: { card: Card; operation: PlannedOperation; me: string }) {
  const { view, state } = card
  const { zone, people } = view
  const jobId = view.job.id
  const progress = state.progress[operation.id] ?? { kind: 'open' as const }
  const climate = view.sheets[operation.id]?.coat?.climate
  // The moment at which the form was opened; it does not run on while somebody types.
  const [now] = useState(card.now)
  const started = progress.kind === 'started' ? progress.at : now
  const [by, setBy] = useState((progress.kind === 'started' && progress.by) || me)
  const [from, setFrom] = useState(toLocalText(zone, started))
  const [to, setTo] = useState(toLocalText(zone, now))
  const [layer, setLayer] = useState({
    lot: '',
    airC: climate?.airC.toFixed(1) ?? '',
    rhPercent: climate?.rhPercent.toFixed(0) ?? '',
    panelC: climate?.panelC.toFixed(1) ?? '',
  })
  const { run, pending, refusal } = useAction()
  const at = refusal?.field.split('.').at(-1) ?? ''
  const errorAt = (field: string) => (at === field ? refusal?.message : undefined)
  const knownFields = ['by', 'startedAt', 'endedAt', ...Object.keys(layer)]
  const general = knownFields.includes(at) ? undefined : refusal?.message
  const finish = () =>
    run(finishOperation, {
      jobId,
      operationId: operation.id,
      startedAt: fromLocalText(zone, from),
      endedAt: fromLocalText(zone, to),
      by,
      ...(operation.kind === 'layer'
        ? {
            layer: {
              productId: operation.productId ?? '',
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
    <div className="pt-2">
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
      <Button className="mt-5 min-h-14 px-8 text-lg" disabled={pending} onClick={finish}>
        Record it
      </Button>
    </div>
  )
}
