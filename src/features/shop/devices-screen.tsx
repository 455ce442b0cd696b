'use client'

import { useState } from 'react'
import type { BayAir } from '@/core/climate'
import type { Region } from '@/core/region'
import type { Devices } from '@/core/shop'
import type { Instant } from '@/core/time'
import type { Spell } from '@/devices/climate-sensor'
import { beginSpell, keepDevices, stopSpell } from '@/server/shop/device-actions'
import { ABSURD_WORDS } from '@/text/en/at-the-car'
import { measured, moment, percent } from '@/text/formats'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useAction } from '@/ui/use-action'
import { ShopCrumb } from './shop-crumb'

const KIND_WORDS: Record<Spell['kind'], string> = {
  humid: 'Damp air comes in',
  cold: 'A door stays open: cold',
  silent: 'The sensor goes silent',
  absurd: 'The sensor reads nonsense',
}

type Props = {
  bays: { id: string; name: string; air: BayAir }[]
  spells: (Spell & { id: string })[]
  region: Region
  now: Instant
  devices: Devices
  version: number
}

/** The sensors of the bays as they read now; and, since they are simulated, what they are to meet. */
export function DevicesScreen({ bays, spells, region, now, devices, version }: Props) {
  const [bay, setBay] = useState(bays[0]?.id ?? '')
  const [kind, setKind] = useState<Spell['kind']>('humid')
  const [minutes, setMinutes] = useState('240')
  const { run, pending, refusal } = useAction()
  const nameOf = (id: string) => bays.find((each) => each.id === id)?.name ?? id
  return (
    <div className="mx-auto max-w-3xl p-5">
      <ShopCrumb />
      <h1 className="mt-1 text-3xl">Sensors and gauges</h1>
      <p className="mt-1 text-ink-soft">
        What is connected to the app. Readings can always be typed by hand; simulated devices are for trying
        things out.
      </p>
      <ChosenDevices devices={devices} version={version} />
      {devices.baySensors !== 'none' && (
        <>
          <table className="mt-4 w-full">
            <tbody>
              {bays.map(({ id, name, air }) => (
                <tr key={id} className="border-t border-line">
                  <th className="py-2 text-left font-head font-semibold">{name}</th>
                  <td className="py-2">{airText(region, air)}</td>
                  <td className="py-2">
                    <Trend air={air} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <h2 className="mt-8 mb-2 text-xl">Simulate a fault</h2>
          <div className="space-y-3">
            <Choice
              label="Bay"
              options={bays.map(({ id, name }) => ({ value: id, name }))}
              value={bay}
              onChange={setBay}
            />
            <Choice
              label="What happens from now on"
              options={Object.entries(KIND_WORDS).map(([value, name]) => ({
                value: value as Spell['kind'],
                name,
              }))}
              value={kind}
              onChange={setKind}
            />
            <div className="flex items-end gap-3">
              <Field label="For, minutes" {...(refusal ? { error: refusal.message } : {})}>
                <NumberInput className="w-32" whole value={minutes} onChange={(text) => setMinutes(text)} />
              </Field>
              <Button
                disabled={pending}
                onClick={() => run(beginSpell, { bay, kind, minutes: numberOf(minutes) })}
              >
                Start simulation
              </Button>
            </div>
          </div>
          {spells.length > 0 && (
            <ul className="mt-5">
              {spells.map((spell) => (
                <li key={spell.id} className="flex items-center gap-3 border-t border-line py-1">
                  <span className="grow">
                    {nameOf(spell.bay)}: {KIND_WORDS[spell.kind].toLowerCase()}, until{' '}
                    {moment(region, spell.until, now)}
                  </span>
                  <Button look="quiet" disabled={pending} onClick={() => run(stopSpell, { id: spell.id })}>
                    End it
                  </Button>
                </li>
              ))}
            </ul>
          )}
        </>
      )}
    </div>
  )
}

const DEVICE_WORDS: Record<keyof Devices, string> = {
  filmGauge: 'Paint gauge',
  glossMeter: 'Gloss meter',
  baySensors: 'Sensors in the bays',
  weather: 'Weather forecast',
}

/** Which devices the shop has: what is simulated writes into surveys only where it was chosen. */
function ChosenDevices({ devices: kept, version }: { devices: Devices; version: number }) {
  const { run, pending, refusal } = useAction()
  return (
    <div className="mt-4 grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
      {(Object.keys(DEVICE_WORDS) as (keyof Devices)[]).map((device) => (
        <Choice
          key={device}
          label={DEVICE_WORDS[device]}
          options={[
            { value: 'none', name: 'None' },
            { value: 'simulated', name: 'Simulated' },
          ]}
          value={kept[device]}
          onChange={(chosen) =>
            !pending &&
            run(keepDevices, { version, devices: { ...kept, [device]: chosen as Devices[typeof device] } })
          }
        />
      ))}
      {refusal && (
        <p role="alert" className="text-copper sm:col-span-full">
          {refusal.message}
        </p>
      )}
    </div>
  )
}

function airText(region: Region, { state }: BayAir): string {
  switch (state.kind) {
    case 'silent':
      return 'says nothing'
    case 'absurd':
      return `cannot be believed: ${ABSURD_WORDS[state.why]}`
    case 'believed': {
      const { airC, rhPercent, panelC } = state.sensed.climate
      return `${measured(region, 'temperature', airC, 1)}, ${percent(region, rhPercent)}, panel ${measured(region, 'temperature', panelC, 1)}`
    }
  }
}

/** Humidity of the last hour and a half as a line. */
function Trend({ air }: { air: BayAir }) {
  const values = air.readings.map(({ climate }) => Math.min(100, climate.rhPercent))
  if (values.length < 2) return null
  const points = values.map(
    (value, index) => `${(index / (values.length - 1)) * 120},${26 - (value / 100) * 24}`,
  )
  return (
    <svg viewBox="0 0 124 28" className="w-32" role="img" aria-label="Humidity of the last 90 minutes">
      <path d="M0,26 H120" className="stroke-line" />
      <polyline points={points.join(' ')} className="fill-none stroke-fern" strokeWidth="1.8" />
    </svg>
  )
}
