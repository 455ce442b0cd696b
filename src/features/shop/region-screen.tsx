'use client'

import { useState } from 'react'
import { METRIC, PLACES, type Quantity, type Region, type Units, US_CUSTOMARY } from '@/core/region'
import type { Identity } from '@/core/shop'
import { dayIn, type Instant } from '@/core/time'
import { keepIdentity } from '@/server/shop/shop-actions'
import { clock, duration, fieldDay, measured, money, number, paperDay, UNIT_SIGN } from '@/text/formats'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { useAction } from '@/ui/use-action'
import { LogoField } from './logo-field'
import { SaveBar } from './save-bar'
import { useOnward } from './setting-up'
import { ShopCrumb } from './shop-crumb'

const QUANTITY_NAME: Record<Quantity, string> = {
  depth: 'Paint depth',
  volume: 'Bottles',
  water: 'Water',
  temperature: 'Temperature',
  distance: 'Distance',
  area: 'Area',
  length: 'Length',
}
const QUANTITIES = Object.keys(QUANTITY_NAME) as Quantity[]

const CONTACT = [
  { key: 'phone', label: 'Telephone', type: 'tel', autoComplete: 'tel' },
  { key: 'email', label: 'Email', type: 'email', autoComplete: 'email' },
  { key: 'web', label: 'Website', type: 'text', autoComplete: 'url' },
] as const

/** Zones and currencies there are, as the server knows them: each browser has a list of its own. */
export type RegionChoices = {
  zones: readonly string[]
  currencies: readonly { code: string; name: string }[]
}

type Props = {
  identity: Identity
  logo: string | undefined
  choices: RegionChoices
  version: number
  now: Instant
}

/** Who the shop is, and how it writes: once for every page, paper and field. */
export function RegionScreen({ identity, logo, choices, version: readAt, now }: Props) {
  const [typed, setTyped] = useState(identity)
  const [version, setVersion] = useState(readAt)
  const saving = useAction()
  const { run, refusal, clear } = saving
  const onward = useOnward()
  const { region } = typed
  const set = (change: Partial<Identity>) => {
    setTyped({ ...typed, ...change })
    clear()
  }
  const write = (change: Partial<Region>) => set({ region: { ...region, ...change } })
  const error = (field: string) => (refusal?.field === `identity.${field}` ? { error: refusal.message } : {})
  const at = PLACES.find(({ locale }) => locale === region.locale)
  return (
    <div className="mx-auto max-w-4xl p-5">
      <ShopCrumb />
      <h1 className="mt-1 text-3xl">Name and region</h1>
      <section className="mt-5 grid gap-4 border-t border-line pt-5 sm:grid-cols-2">
        <Field label="Name of the shop" {...error('name')}>
          <input
            className="field"
            autoComplete="organization"
            value={typed.name}
            onChange={({ target }) => set({ name: target.value })}
          />
        </Field>
        <Field label="Address, as on your papers" {...error('address')}>
          <input
            className="field"
            autoComplete="street-address"
            value={typed.address}
            onChange={({ target }) => set({ address: target.value })}
          />
        </Field>
      </section>
      <section className="mt-4 grid gap-4 sm:grid-cols-3" aria-label="How customers reach the shop">
        {CONTACT.map(({ key, label, type, autoComplete }) => (
          <Field key={key} label={label} {...error(`contact.${key}`)}>
            <input
              className="field"
              type={type}
              autoComplete={autoComplete}
              value={typed.contact[key]}
              onChange={({ target }) => set({ contact: { ...typed.contact, [key]: target.value } })}
            />
          </Field>
        ))}
      </section>
      <LogoField logo={logo} version={version} onSaved={setVersion} />
      <section className="mt-6 border-t border-line pt-5" aria-label="How this shop writes">
        <h2 className="text-xl">How this shop writes</h2>
        <div className="mt-3 grid gap-4 sm:grid-cols-3">
          <Field
            label="Country"
            hint="Sets all that follows; change any of it after."
            {...error('region.locale')}
          >
            <select
              className="field"
              value={region.locale}
              onChange={({ target }) => {
                const place = PLACES.find(({ locale }) => locale === target.value)
                if (!place) return
                const { name: _, tax: __, ...writes } = place
                write(writes)
              }}
            >
              {!at && <option value={region.locale}>{region.locale}</option>}
              {PLACES.map(({ name, locale }) => (
                <option key={locale} value={locale}>
                  {name}
                </option>
              ))}
            </select>
          </Field>
          <Field label="Time zone" {...error('region.timezone')}>
            <select
              className="field"
              value={region.timezone}
              onChange={({ target }) => write({ timezone: target.value })}
            >
              {choices.zones.map((zone) => (
                <option key={zone} value={zone}>
                  {zone.replaceAll('_', ' ')}
                </option>
              ))}
            </select>
          </Field>
          <Field label="Currency" {...error('region.currency')}>
            <select
              className="field"
              value={region.currency}
              onChange={({ target }) => write({ currency: target.value })}
            >
              {choices.currencies.map(({ code, name }) => (
                <option key={code} value={code}>
                  {code}, {name}
                </option>
              ))}
            </select>
          </Field>
        </div>
        {region.currency !== identity.region.currency && !onward && (
          <p role="status" className="mt-2 font-semibold text-copper">
            Prices keep their figures: {number(region, 58)} {identity.region.currency} an hour become{' '}
            {number(region, 58)} {region.currency}. Check your prices after this.
          </p>
        )}
        <div className="mt-4 flex flex-wrap gap-x-8 gap-y-4">
          <Choice
            label="Clock"
            options={[
              { value: '24-hour' as const, name: '14:30' },
              { value: '12-hour' as const, name: '2:30 pm' },
            ]}
            value={region.clock}
            onChange={(hours) => write({ clock: hours })}
          />
          {QUANTITIES.map((quantity) => (
            <UnitChoice
              key={quantity}
              quantity={quantity}
              units={region.units}
              onChange={(units) => write({ units })}
            />
          ))}
        </div>
        <div className="mt-3 flex flex-wrap gap-2">
          <Button look="quiet" onClick={() => write({ units: METRIC })}>
            All metric
          </Button>
          <Button look="quiet" onClick={() => write({ units: US_CUSTOMARY })}>
            All as in the United States
          </Button>
        </div>
      </section>
      <Example region={region} now={now} />
      <SaveBar
        saving={saving}
        onSave={() => run(keepIdentity, { version, identity: typed }, (kept) => setVersion(kept.version))}
        saved="Saved. Every page and paper follows it."
      />
    </div>
  )
}

function UnitChoice<Kind extends Quantity>({
  quantity,
  units,
  onChange,
}: {
  quantity: Kind
  units: Units
  onChange: (units: Units) => void
}) {
  const signs = Object.entries(UNIT_SIGN[quantity]) as [Units[Kind], string][]
  return (
    <Choice
      label={QUANTITY_NAME[quantity]}
      options={signs.map(([value, name]) => ({ value, name }))}
      value={units[quantity]}
      onChange={(unit) => onChange({ ...units, [quantity]: unit })}
    />
  )
}

const EXAMPLE = { minutes: 345, minor: 123_450, depthUm: 104, bottleMl: 50, airC: 18.5, km: 141_300 }

/** The same few things as they will read from now on. */
function Example({ region, now }: { region: Region; now: Instant }) {
  const day = dayIn(region.timezone, now)
  const rows = [
    ['On a paper', paperDay(region, day)],
    ['On a screen', `${fieldDay(region, day)}, ${clock(region, now)}`],
    ['A duration', duration(region, EXAMPLE.minutes)],
    ['Money', money(region, EXAMPLE.minor)],
    ['Paint depth', measured(region, 'depth', EXAMPLE.depthUm)],
    ['A bottle', measured(region, 'volume', EXAMPLE.bottleMl)],
    ['Air', measured(region, 'temperature', EXAMPLE.airC, 1)],
    ['An odometer', measured(region, 'distance', EXAMPLE.km)],
  ]
  return (
    <section className="sheet mt-5 p-4" aria-label="An example">
      <h2 className="text-lg">So it will read</h2>
      <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-6 gap-y-1 sm:grid-cols-[auto_1fr_auto_1fr]">
        {rows.map(([name, text]) => (
          <div key={name} className="contents">
            <dt className="text-ink-soft">{name}</dt>
            <dd>{text}</dd>
          </div>
        ))}
      </dl>
    </section>
  )
}
