'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { readBrought } from '@/server/vehicles/history-actions'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { useAction } from '@/ui/use-action'

/** A car that comes with a history another shop has written: the file is read, and the car is known here. */
export function BringHistory() {
  const router = useRouter()
  const [owner, setOwner] = useState('')
  const [file, setFile] = useState<File>()
  const [isMissing, setIsMissing] = useState(false)
  const { run, pending, refusal } = useAction()
  const message = isMissing ? 'Choose the history file that came with the car.' : refusal?.message
  const read = () => {
    setIsMissing(!file)
    if (file)
      run(readBrought, { file, owner }, ({ vehicleId }) => router.push(`/vehicles/${vehicleId}/history`))
  }
  return (
    <details className="mt-8">
      <summary className="min-h-11 content-center font-head font-semibold underline decoration-ink-soft/40 underline-offset-4">
        Import a vehicle history
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
          {pending ? 'Importing…' : 'Import'}
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
