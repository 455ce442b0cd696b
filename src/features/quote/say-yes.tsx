'use client'

import { useState } from 'react'
import type { Signature } from '@/core/survey'
import { clockIn, dayIn, type Instant } from '@/core/time'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { DayInput } from '@/ui/day-input'
import { Field } from '@/ui/field'
import { useRegion } from '@/ui/region'
import { TimeInput } from '@/ui/time-input'
import { SignaturePad } from '../sign-off/signature-pad'

/** As it is sent. */
export type Yes =
  | { how: 'signed'; name: string; signature: Signature }
  | { how: 'telephone'; name: string; day: string; time: string }

type Props = {
  customer: string
  now: Instant
  label: string
  pending: boolean
  refusal: { message: string; field?: string } | undefined
  onYes: (yes: Yes) => void
}

const WAYS = [
  { value: 'signed' as const, name: 'Signs here' },
  { value: 'telephone' as const, name: 'Said so by telephone' },
]

/** The yes of a customer to a change: signed on this screen, or noted as told by telephone, with who and when. */
export function SayYes({ customer, now, label, pending, refusal, onYes }: Props) {
  const region = useRegion()
  const [how, setHow] = useState<Yes['how']>('signed')
  const [name, setName] = useState(customer)
  const [signature, setSignature] = useState<Signature>([])
  const [day, setDay] = useState<string>(dayIn(region.timezone, now))
  const [time, setTime] = useState(clockIn(region.timezone, now))
  const send = () => onYes(how === 'signed' ? { how, name, signature } : { how, name, day, time })
  return (
    <div className="space-y-3">
      <Choice label="How do they agree?" options={WAYS} value={how} onChange={setHow} />
      <Field label="Who" error={refusal?.field === 'yes.name' ? refusal.message : undefined}>
        <input className="field" value={name} onChange={(event) => setName(event.target.value)} />
      </Field>
      {how === 'signed' ? (
        <SignaturePad
          value={signature}
          error={refusal?.field === 'yes.signature' ? refusal.message : undefined}
          onChange={setSignature}
        />
      ) : (
        <div className="grid grid-cols-[3fr_2fr] gap-2">
          <Field label="Day">
            <DayInput value={day} onChange={setDay} />
          </Field>
          <Field label="Time" error={refusal?.field === 'yes.time' ? refusal.message : undefined}>
            <TimeInput value={time} onChange={setTime} />
          </Field>
        </div>
      )}
      <Button className="w-full" disabled={pending} onClick={send}>
        {pending ? 'One moment…' : label}
      </Button>
      {refusal && !refusal.field?.startsWith('yes.') && (
        <p role="alert" className="text-copper">
          {refusal.message}
        </p>
      )}
    </div>
  )
}
