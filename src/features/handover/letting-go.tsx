'use client'

import type { Goes, GoingOut, SkySpell } from '@/core/handover'
import type { Region } from '@/core/region'
import type { Signature } from '@/core/survey'
import type { Instant } from '@/core/time'
import type { Storage } from '@/core/vehicle'
import { clock, list, moment } from '@/text/formats'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { useRegion } from '@/ui/region'
import { SignaturePad } from '../sign-off/signature-pad'

/** What is chosen so far: a signed exception lacks its name and signature at first. */
export type Going = { how?: Goes['how']; name: string; signature: Signature }

const WAYS = [
  { value: 'roof' as const, name: 'Under a roof' },
  { value: 'open' as const, name: 'Out in the open' },
  { value: 'exception' as const, name: 'As they wish, signed' },
]

const SLEEPS: Record<Storage, string> = {
  garage: 'At check-in they said that it sleeps in a garage.',
  carport: 'At check-in they said that it stands under a carport: rain blows in there.',
  street: 'At check-in they said that it stands in the open.',
  unknown: 'Nobody has asked yet where it stands at night.',
}

const SKY = { rain: 'rain', frost: 'frost', heat: 'heat' }

const spellText = (region: Region, now: Instant, { kind, from, until }: SkySpell) =>
  from <= now
    ? `${SKY[kind]} now, until ${moment(region, until, now)}`
    : `${SKY[kind]} ${moment(region, from, now)} to ${clock(region, until)}`

function skyText(region: Region, now: Instant, sky: GoingOut['sky']): string {
  if (!sky) return 'No forecast reaches the shop: look at the sky, and ask.'
  if (sky.length === 0) return 'The forecast is dry until then.'
  return `Forecast until then: ${list(
    region,
    sky.map((spell) => spellText(region, now, spell)),
  )}.`
}

type Props = {
  out: GoingOut
  now: Instant
  value: Going
  refusal: { message: string; field?: string } | undefined
  onChange: (going: Going) => void
}

/** Asked while a coat must not get wet yet: where the car goes, by what weather, or who signs for it. */
export function LettingGo({ out, now, value, refusal, onChange }: Props) {
  const region = useRegion()
  const errorOf = (field: string) => (refusal?.field === field ? refusal.message : undefined)
  return (
    <div className="space-y-3 rounded border-2 border-copper/50 bg-copper-soft/40 p-3">
      <p className="font-head text-[17px] font-semibold text-copper">
        No water on it until {moment(region, out.dryUntil, now)}
      </p>
      <p>
        {skyText(region, now, out.sky)} {SLEEPS[out.storage]}
      </p>
      <Choice
        label="Where does it go?"
        options={WAYS}
        value={value.how}
        onChange={(how) => onChange({ ...value, how })}
      />
      {value.how === 'exception' && (
        <>
          <p>
            “I take the car before the coating may get wet. Water spots that come of it are not the shop’s to
            put right.”
          </p>
          <Field label="Who signs" error={errorOf('goes.name')}>
            <input
              className="field"
              value={value.name}
              onChange={(event) => onChange({ ...value, name: event.target.value })}
            />
          </Field>
          <SignaturePad
            value={value.signature}
            error={errorOf('goes.signature')}
            onChange={(signature) => onChange({ ...value, signature })}
          />
        </>
      )}
    </div>
  )
}
