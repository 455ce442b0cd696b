'use client'

import { useState } from 'react'
import type { Job } from '@/core/job'
import type { PromiseLine, Signature, SignedPromises } from '@/core/survey'
import { dayIn, type Instant } from '@/core/time'
import { sign } from '@/server/survey/promise-actions'
import { paperDay, paperMoment } from '@/text/formats'
import { Button, ButtonLink } from '@/ui/button'
import { Field } from '@/ui/field'
import { PrintButton } from '@/ui/print-button'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'
import { SignatureDrawing, SignaturePad } from './signature-pad'

type Props = {
  job: Job
  shopName: string
  now: Instant
  lines: readonly PromiseLine[]
  signed: readonly SignedPromises[]
  surveyed: boolean
}

const texts = (lines: readonly PromiseLine[]) => lines.map(({ text }) => text)

/** What is said before the work, in words a customer understands, and signed. Each signing is a version of its own. */
export function PromisesScreen({ job, shopName, now, lines, signed, surveyed }: Props) {
  const region = useRegion()
  const latest = signed.at(-1)
  const added = latest ? lines.filter(({ text }) => !texts(latest.lines).includes(text)) : []
  const dropped = latest ? latest.lines.filter(({ text }) => !texts(lines).includes(text)) : []
  const current = latest !== undefined && added.length === 0 && dropped.length === 0
  const { vehicle, customer } = job
  return (
    <div className="mx-auto max-w-3xl p-5">
      <article className="sheet p-6 sm:p-8">
        <p className="eyebrow">{shopName}</p>
        <h1 className="mt-1 text-3xl">Before we begin</h1>
        <p className="mt-1 text-ink-soft">
          {vehicle.plate}, {vehicle.make} {vehicle.model}, {vehicle.colour.toLowerCase()} · {customer.name} ·
          job {job.number}
        </p>
        {!surveyed && (
          <p className="mt-4 rounded border-2 border-copper bg-copper-soft p-3 text-[15px]">
            Nothing is measured yet. What is written here rests on the walk-round alone; measure the paint
            before anybody signs.
          </p>
        )}
        {lines.length === 0 ? (
          <p className="mt-5 text-lg">
            Nothing was found that would have to stay. Every mark seen can be polished out within what the
            paint can spare.
          </p>
        ) : (
          <ol className="mt-5 space-y-3.5">
            {lines.map((line, at) => (
              <li key={line.text} className="grid grid-cols-[2rem_1fr] text-[17px] leading-snug">
                <span className="font-head font-bold text-fern">{at + 1}</span>
                <span>
                  {line.text}
                  {added.includes(line) && (
                    <span className="ml-2 rounded bg-copper-soft px-1.5 text-sm text-copper">
                      new since it was signed
                    </span>
                  )}
                </span>
              </li>
            ))}
          </ol>
        )}
        {dropped.length > 0 && (
          <div className="mt-4 text-[15px] text-ink-soft">
            <p className="font-semibold">No longer so since it was signed:</p>
            {dropped.map(({ text }) => (
              <p key={text} className="line-through">
                {text}
              </p>
            ))}
          </div>
        )}
        <p className="mt-5 border-t border-line pt-4 text-[15px]">
          We work as far as is safe, never further. What stays, stays because removing it would cost more
          paint than the panel can spare. I have read this, and it was explained to me.
        </p>
        {current ? (
          <Signed promises={latest} />
        ) : (
          <SignNow
            job={job}
            lines={lines}
            readAt={latest?.version ?? 0}
            again={latest !== undefined}
            today={paperDay(region, dayIn(region.timezone, now))}
          />
        )}
      </article>
      <div className="no-print mt-4 flex flex-wrap items-center gap-3">
        <PrintButton />
        <ButtonLink look="quiet" href={`/jobs/${job.id}/plan`}>
          To the packages
        </ButtonLink>
      </div>
      {signed.length > 0 && (
        <section className="no-print mt-6">
          <h2 className="text-lg">Versions</h2>
          {[...signed].reverse().map((promises) => (
            <details key={promises.version} className="sheet mt-2 p-4">
              <summary className="min-h-11 content-center font-head font-semibold">
                Version {promises.version}, signed by {promises.signedBy},{' '}
                {paperDay(region, dayIn(region.timezone, promises.signedAt))}
              </summary>
              <ol className="list-decimal pl-6 text-[15px]">
                {promises.lines.map(({ text }) => (
                  <li key={text}>{text}</li>
                ))}
              </ol>
              <SignatureDrawing strokes={promises.signature} className="mt-2 w-72 max-w-full" />
            </details>
          ))}
        </section>
      )}
    </div>
  )
}

function Signed({ promises }: { promises: SignedPromises }) {
  const region = useRegion()
  return (
    <div className="mt-4" data-testid="signed">
      <SignatureDrawing strokes={promises.signature} className="w-full max-w-md border-b border-ink" />
      <p className="mt-1">
        {promises.signedBy}, {paperMoment(region, promises.signedAt)}
        <span className="ml-2 text-ink-soft">version {promises.version}</span>
      </p>
    </div>
  )
}

function SignNow({
  job,
  lines,
  readAt,
  again,
  today,
}: {
  job: Job
  lines: readonly PromiseLine[]
  readAt: number
  again: boolean
  today: string
}) {
  const [signedBy, setSignedBy] = useState(job.customer.name)
  const [signature, setSignature] = useState<Signature>([])
  const { run, pending: busy, refusal, clear } = useAction()
  const keep = () => run(sign, { jobId: job.id, version: readAt, shown: texts(lines), signedBy, signature })
  return (
    <div className="mt-4">
      {again && (
        <p className="no-print mb-3 font-semibold text-copper">
          The survey has changed since the last signature. This is a new version, to be signed again.
        </p>
      )}
      <div className="no-print grid items-start gap-4 sm:grid-cols-[1fr_15rem]">
        <SignaturePad
          value={signature}
          error={refusal?.field === 'signature' ? refusal.message : undefined}
          onChange={(strokes) => {
            setSignature(strokes)
            clear()
          }}
        />
        <div>
          <Field label="Signed by" error={refusal?.field === 'signedBy' ? refusal.message : undefined}>
            <input
              className="field"
              autoComplete="off"
              value={signedBy}
              onChange={(event) => setSignedBy(event.target.value)}
            />
          </Field>
          <p className="mt-2 text-[15px] text-ink-soft">{today}</p>
          <Button className="mt-3 w-full" disabled={busy} onClick={() => void keep()}>
            Keep as signed
          </Button>
        </div>
      </div>
      {refusal && !refusal.field && (
        <p role="alert" className="mt-2 text-copper">
          {refusal.message}
        </p>
      )}
      <p className="mt-10 hidden border-t border-ink pt-1 print:block">
        {job.customer.name}, {today}
      </p>
    </div>
  )
}
