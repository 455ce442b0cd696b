'use client'

import { useState } from 'react'
import type { Job } from '@/core/job'
import { readIn } from '@/core/region'
import type { Signature, SignedOff, SignOffLine } from '@/core/survey'
import { dayIn, type Instant } from '@/core/time'
import { sign } from '@/server/survey/sign-off-actions'
import { paperDay, paperMoment } from '@/text/formats'
import { signOffWords } from '@/text/sign-off'
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
  lines: readonly SignOffLine[]
  signed: readonly SignedOff[]
  surveyed: boolean
}

const texts = (lines: readonly SignOffLine[]) => lines.map(({ text }) => text)

/** What will remain, in the customer’s language, and signed before the work begins. Each signing is a version of its own. */
export function SignOffScreen({ job, shopName, now, lines, signed, surveyed }: Props) {
  const region = useRegion()
  const told = readIn(region, job.customer.language)
  const words = signOffWords(told)
  const latest = signed.at(-1)
  const added = latest ? lines.filter(({ text }) => !texts(latest.lines).includes(text)) : []
  const dropped = latest ? latest.lines.filter(({ text }) => !texts(lines).includes(text)) : []
  const current = latest !== undefined && added.length === 0 && dropped.length === 0
  const { vehicle, customer } = job
  return (
    <div className="mx-auto max-w-3xl p-5">
      <article className="sheet p-6 sm:p-8" lang={told.language}>
        <p className="eyebrow">{shopName}</p>
        <h1 className="mt-1 text-3xl">{words.title}</h1>
        <p className="mt-1 text-ink-soft">
          {vehicle.plate}, {vehicle.make} {vehicle.model}, {vehicle.colour.toLowerCase()} · {customer.name} ·{' '}
          {words.job(job.number)}
        </p>
        {!surveyed && (
          <p className="no-print mt-4 rounded border-2 border-copper bg-copper-soft p-3 text-[15px]">
            Inspect and measure the car before this is signed: until then it rests on the walk-round alone.
          </p>
        )}
        {lines.length === 0 ? (
          surveyed && <p className="mt-5 text-lg">{words.nothingRemains}</p>
        ) : (
          <ol className="mt-5 space-y-3.5">
            {lines.map((line, at) => (
              <li key={line.text} className="grid grid-cols-[2rem_1fr] text-[17px] leading-snug">
                <span className="font-head font-bold text-fern">{at + 1}</span>
                <span>
                  {line.text}
                  {added.includes(line) && (
                    <span className="ml-2 rounded bg-copper-soft px-1.5 text-sm text-copper">
                      new since signing
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
        {(surveyed || lines.length > 0) && (
          <p className="mt-5 border-t border-line pt-4 text-[15px]">{words.declaration}</p>
        )}
        {current && <Signed signed={latest} />}
        {!current && (surveyed || lines.length > 0) && (
          <SignNow
            job={job}
            lines={lines}
            readAt={latest?.version ?? 0}
            again={latest !== undefined}
            today={paperDay(told, dayIn(told.timezone, now))}
          />
        )}
      </article>
      <div className="no-print mt-4 flex flex-wrap items-center gap-3">
        <PrintButton />
        <ButtonLink look="quiet" href={`/jobs/${job.id}/plan`}>
          Choose a package
        </ButtonLink>
      </div>
      {signed.length > 0 && (
        <section className="no-print mt-6">
          <h2 className="text-lg">Versions</h2>
          {[...signed].reverse().map((version) => (
            <details key={version.version} className="sheet mt-2 p-4">
              <summary className="min-h-11 content-center font-head font-semibold">
                Version {version.version}, signed by {version.signedBy},{' '}
                {paperDay(region, dayIn(region.timezone, version.signedAt))}
              </summary>
              <ol className="list-decimal pl-6 text-[15px]">
                {version.lines.map(({ text }) => (
                  <li key={text}>{text}</li>
                ))}
              </ol>
              <SignatureDrawing strokes={version.signature} className="mt-2 w-72 max-w-full" />
            </details>
          ))}
        </section>
      )}
    </div>
  )
}

function Signed({ signed }: { signed: SignedOff }) {
  const region = useRegion()
  return (
    <div className="mt-4" data-testid="signed">
      <SignatureDrawing strokes={signed.signature} className="w-full max-w-md border-b border-ink" />
      <p className="mt-1">
        {signed.signedBy}, {paperMoment(region, signed.signedAt)}
        <span className="ml-2 text-ink-soft">version {signed.version}</span>
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
  lines: readonly SignOffLine[]
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
            Save signature
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
