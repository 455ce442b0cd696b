'use client'

import { useRouter } from 'next/navigation'
import { useState, useTransition } from 'react'
import { readBrought } from '@/server/vehicles/history-actions'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'

/** A car that comes with a history another shop has written: the file is read, and the car is known here. */
export function BringHistory() {
  const router = useRouter()
  const [owner, setOwner] = useState('')
  const [file, setFile] = useState<File>()
  const [message, setMessage] = useState<string>()
  const [pending, startTransition] = useTransition()
  const read = () =>
    startTransition(async () => {
      if (!file) return setMessage('Choose the history file that came with the car.')
      const form = new FormData()
      form.set('file', file)
      form.set('owner', owner)
      const answer = await readBrought(form).catch(() => ({
        kind: 'refused' as const,
        message: 'The server does not answer. Nothing was read; try again.',
      }))
      if (answer.kind === 'refused') return setMessage(answer.message)
      router.push(`/vehicles/${answer.vehicleId}/history`)
    })
  return (
    <details className="mt-8">
      <summary className="min-h-11 content-center font-head font-semibold underline decoration-ink-soft/40 underline-offset-4">
        A car has brought its history along
      </summary>
      <div className="mt-2 grid gap-4 rounded bg-lichen/60 p-4 sm:grid-cols-[1fr_1fr_auto] sm:items-end">
        <Field label="History file (JSON)">
          <input
            type="file"
            accept="application/json,.json"
            className="field"
            onChange={(event) => setFile(event.target.files?.[0])}
          />
        </Field>
        <Field label="Whose car it is now">
          <input className="field" value={owner} onChange={(event) => setOwner(event.target.value)} />
        </Field>
        <Button disabled={pending} onClick={read}>
          {pending ? 'Reading …' : 'Read it'}
        </Button>
        {message && (
          <p role="alert" className="font-semibold text-copper sm:col-span-3">
            {message}
          </p>
        )}
      </div>
    </details>
  )
}
