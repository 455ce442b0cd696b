import clsx from 'clsx'
import type { CoatSheet } from '@/core/card/sheets'
import { dewVerdict } from '@/core/climate'
import { conditionBreachText } from '@/core/coating'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { measured, moment, percent, temperatureStep } from '@/text/formats'

/** Whether the air of the bay allows this coat, why not, and when it should. */
export function Air({
  coat,
  region,
  now,
  closed,
}: {
  coat: CoatSheet
  region: Region
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
            ? `Do not lay ${product.name}: its window closed ${moment(region, closed, now)}`
            : `Do not lay ${product.name} now`}
      </p>
      {climate ? (
        <p className="mt-1">
          {bayName}: air {measured(region, 'temperature', climate.airC, 1)}, humidity{' '}
          {percent(region, climate.rhPercent)}, panel {measured(region, 'temperature', climate.panelC, 1)},{' '}
          {dew?.ok ? temperatureStep(region, dew.value.marginC, 1) : '?'} above the dew point. Flash about{' '}
          {Math.round(flash.min)} to {Math.round(flash.max)} s; the look of the film decides.
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
            ? `If it goes on like this, it allows it about ${moment(region, outlook.improvesAt, now)}.`
            : 'It is not getting better by itself.'}
        </p>
      )}
    </div>
  )
}
