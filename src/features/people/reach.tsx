'use client'

import { useState } from 'react'
import type { VehicleId } from '@/core/ids'
import { tellContact } from '@/server/people/people-actions'
import { useAction } from '@/ui/use-action'

type Contact = { phone: string; email: string }

/** As tall as a finger, in a line of text. */
const LINK = '-my-3 inline-flex min-h-11 items-center underline underline-offset-4'

/** How the owner of a car is reached, once it is asked for: that it was stands in the journal. */
export function Reach({ vehicleId }: { vehicleId: VehicleId }) {
  const { run, pending, refusal } = useAction()
  const [contact, setContact] = useState<Contact>()
  if (refusal)
    return (
      <span role="alert" className="font-semibold text-copper">
        {refusal.message}
      </span>
    )
  if (!contact)
    return (
      <button
        type="button"
        disabled={pending}
        onClick={() => run(tellContact, { vehicleId }, setContact)}
        className={LINK}
      >
        Telephone, e-mail
      </button>
    )
  const { phone, email } = contact
  return (
    <output className="inline-flex flex-wrap gap-x-3">
      {phone && (
        <a href={`tel:${phone.replaceAll(/[^+\d]/g, '')}`} className={LINK}>
          {phone}
        </a>
      )}
      {email && (
        <a href={`mailto:${email}`} className={LINK}>
          {email}
        </a>
      )}
      {!phone && !email && 'No telephone or e-mail is known.'}
    </output>
  )
}
