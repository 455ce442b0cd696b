import clsx from 'clsx'
import type { CoatSheet } from '@/core/card/sheets'
import { dewVerdict } from '@/core/climate'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { ABSURD_WORDS } from '@/text/en/at-the-car'
import { conditionText } from '@/text/en/conditions'
import { measured, moment, percent, temperatureStep } from '@/text/formats'
import { title } from '@/text/title'

/** Whether the bay is fit for this coating, why not, and when it should be. Without a measurement nobody knows. */
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
  const bay = bayName ?? 'the bay'
  return (
    <div
      className={clsx('mt-4 rounded border-2 p-4', go ? 'border-fern' : 'border-copper')}
      data-testid="conditions"
    >
      <p className={clsx('font-head text-xl font-bold', go ? 'text-fern' : 'text-copper')}>
        {closed
          ? `Do not apply ${product.name}: its recoat window closed ${moment(region, closed, now)}`
          : !climate
            ? `Not measured: check the bay before you apply ${product.name}`
            : air
              ? `OK to apply ${product.name}`
              : `Do not apply ${product.name} now`}
      </p>
      {climate ? (
        <p className="mt-1">
          {title(region, bay)}: air {measured(region, 'temperature', climate.airC, 1)}, humidity{' '}
          {percent(region, climate.rhPercent)}, panel {measured(region, 'temperature', climate.panelC, 1)},{' '}
          {dew?.ok ? temperatureStep(region, dew.value.marginC, 1) : '?'} above the dew point. Sections of{' '}
          {measured(region, 'length', product.sectionM, 1)}.{' '}
          {flash.min === 0 ? 'Wipe at once, at the latest after' : `Flash about ${Math.round(flash.min)} to`}{' '}
          {Math.round(flash.max)} s; go by how the coating looks.
        </p>
      ) : (
        <p className="mt-1">
          {sensor.kind === 'absurd'
            ? `The sensor in ${bay} cannot be believed: ${ABSURD_WORDS[sensor.why]}.`
            : `No reading from the sensor in ${bay}.`}{' '}
          Measure by hand and enter the values with the layer.
        </p>
      )}
      {climate &&
        outlook.breaches.map((breach) => (
          <p key={breach.rule} className="mt-1 text-copper">
            {conditionText(region, breach)}
          </p>
        ))}
      {!air && climate && (
        <p className="mt-1 font-semibold">
          {outlook.improvesAt
            ? `At this rate it will be OK from about ${moment(region, outlook.improvesAt, now)}.`
            : 'It is not improving by itself.'}
        </p>
      )}
    </div>
  )
}
