import clsx from 'clsx'
import type { CoatSheet } from '@/core/card/sheets'
import { dewVerdict } from '@/core/climate'
import { conditionBreachText } from '@/core/coating'
import type { Instant } from '@/core/time'
import { moment } from '@/ui/when'

/** Whether the air of the bay allows this coat, why not, and when it should. */
export function Air({
  coat,
  zone,
  now,
  closed,
}: {
  coat: CoatSheet
  zone: string
  now: Instant
  /** When the window for this layer closed, if it has. */
  closed?: Instant
}) {
  const { product, climate, outlook, flash, sensor, bayName } = coat
  const air = outlook.breaches.length === 0
  const go = air && closed === undefined
  const dew = climate && dewVerdict(climate)
  return (
    <div
      className={clsx('mt-4 rounded border-2 p-4', go ? 'border-fern' : 'border-copper')}
      data-testid="conditions"
    >
      <p className={clsx('font-head text-xl font-bold', go ? 'text-fern' : 'text-copper')}>
        {go
          ? `Go for ${product.name}`
          : closed
            ? `Do not lay ${product.name}: its window closed ${moment(zone, closed, now)}`
            : `Do not lay ${product.name} now`}
      </p>
      {climate ? (
        <p className="mt-1">
          {bayName}: air {climate.airC.toFixed(1)} °C, humidity {climate.rhPercent.toFixed(0)} %, panel{' '}
          {climate.panelC.toFixed(1)} °C, {dew?.ok ? `${dew.value.marginC.toFixed(1)} °C` : '?'} above the dew
          point. Flash about {Math.round(flash.min)} to {Math.round(flash.max)} s; the look of the film
          decides.
        </p>
      ) : (
        <p className="mt-1">
          {sensor.kind === 'absurd'
            ? `The sensor of ${bayName} cannot be believed: ${sensor.what.toLowerCase()}.`
            : `The sensor of ${bayName} says nothing.`}{' '}
          Measure by hand, and write it down with the layer.
        </p>
      )}
      {climate &&
        outlook.breaches.map((breach) => (
          <p key={breach.rule} className="mt-1 text-copper">
            {conditionBreachText(breach)}
          </p>
        ))}
      {!air && climate && (
        <p className="mt-1 font-semibold">
          {outlook.improvesAt
            ? `If it goes on like this, it allows it about ${moment(zone, outlook.improvesAt, now)}.`
            : 'It is not getting better by itself.'}
        </p>
      )}
    </div>
  )
}
