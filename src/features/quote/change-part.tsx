'use client'

import { useEffect, useRef, useState } from 'react'
import type { Answer } from '@/core/answer'
import type { JobId } from '@/core/ids'
import {
  attendedMinutes,
  type Changed,
  type ChangeFault,
  type Coming,
  type JobPlan,
  type Summary,
} from '@/core/offer'
import type { NamedPhoto } from '@/core/photo'
import type { Region } from '@/core/region'
import { dayIn, type Instant, type LocalDay } from '@/core/time'
import { previewChange, writeSupplement } from '@/server/quotes/change-actions'
import { PLAIN } from '@/text/en/plain-asks'
import { duration, moment, money, paperDay } from '@/text/formats'
import { photoCaption } from '@/text/photo-caption'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { Refused } from '@/ui/refused'
import { reach, useAction } from '@/ui/use-action'
import type { Draft } from './use-draft'

/** What was agreed, as a page needs it to show what a change would make of it. */
export type AgreedShown = {
  version: number
  plan: JobPlan
  summary: Summary
  totalCents: number
  agreedAt: Instant
  promisedFor: Instant
}

export type ChangeTyped = { found: string; otherwise: string; photos: readonly string[] }

type Shown = {
  jobId: JobId
  draft: Draft
  changed: Changed | ChangeFault | undefined
  region: Region
}

/** The hand rests so long before the calendar is asked, milliseconds. */
const REST_MS = 600

/** What a change would make of hours, price and collection, while it is put together. */
export function ChangeCompared({
  jobId,
  draft,
  changed,
  region,
  agreed,
  job,
  now,
}: Shown & { agreed: AgreedShown; job: Coming; now: Instant }) {
  const worked = typeof changed === 'object' ? changed : undefined
  const when = useCollection(jobId, worked && draft.choices)
  if (typeof changed === 'string')
    return (
      <p className={changed === 'nothing-differs' ? 'text-ink-soft' : 'text-copper'}>
        {PLAIN[changed](region)}
      </p>
    )
  if (!worked) return null
  return (
    <div className="sheet space-y-2 p-3">
      <table className="w-full text-[15px]" aria-label="What the change comes to">
        <thead className="text-left text-sm text-ink-soft">
          <tr>
            <td />
            <th className="py-1 font-normal">Agreed</th>
            <th className="py-1 font-normal">With the change</th>
          </tr>
        </thead>
        <tbody>
          <Compared
            name="Work"
            before={duration(region, attendedMinutes(agreed.plan.operations))}
            after={duration(region, attendedMinutes(worked.plan.operations))}
          />
          <Compared
            name="Price"
            before={money(region, agreed.totalCents)}
            after={money(region, worked.price.totalCents)}
          />
          {draft.choices?.comesAt && (
            <Compared
              name="Comes"
              before={moment(region, job.arriveAt, now)}
              after={moment(region, draft.choices.comesAt, now)}
            />
          )}
          <Compared
            name="Ready"
            before={moment(region, agreed.promisedFor, now)}
            after={when === 'asking' ? 'asking the calendar…' : whenText(when, region, now)}
          />
        </tbody>
      </table>
      {isTooLate(when, draft.choices?.wantedBy ?? job.wantedBy, region) && (
        <p className="text-copper">
          That is after {paperDay(region, (draft.choices?.wantedBy ?? job.wantedBy)!)}, when it is wanted
          back.
        </p>
      )}
      <p className="text-sm text-ink-soft">
        Nobody else is moved for it. What is done stays done, at the price it was agreed at.
      </p>
    </div>
  )
}

/** What the customer is told of a change, and writing it down for them. */
export function ChangeWritten({
  jobId,
  draft,
  changed,
  region,
  words,
  photos,
  onWords,
  onWritten,
}: Shown & {
  words: ChangeTyped
  photos: readonly NamedPhoto[]
  onWords: (words: ChangeTyped) => void
  onWritten: (version: number) => void
}) {
  const { run, pending, refusal } = useAction()
  const { choices, typed } = draft
  const worked = typeof changed === 'object' ? changed : undefined
  const write = () =>
    worked &&
    choices &&
    run(
      writeSupplement,
      {
        jobId,
        choices,
        ...words,
        photos: [...words.photos],
        note: typed.note,
        shownCents: worked.price.totalCents,
      },
      ({ version }) => onWritten(version),
    )
  return (
    <div className="space-y-4">
      <Field label="What was found" hint="The customer reads it.">
        <textarea
          className="field"
          rows={3}
          value={words.found}
          onChange={(event) => onWords({ ...words, found: event.target.value })}
        />
      </Field>
      {photos.length > 0 && (
        <fieldset>
          <legend className="mb-1 font-head text-sm font-semibold">Photographs that go with it</legend>
          <ul className="grid grid-cols-3 gap-2">
            {photos.map(({ id, hash, ...of }) => (
              <li key={id}>
                <label className="relative block">
                  {/* biome-ignore lint/performance/noImgElement: the picture comes from the shop's own folder. */}
                  <img
                    src={`/api/photos/${hash}?size=thumb`}
                    alt={photoCaption(region, of)}
                    className="aspect-[4/3] w-full rounded object-cover"
                  />
                  <input
                    type="checkbox"
                    className="absolute top-1 left-1 size-6 accent-fern"
                    checked={words.photos.includes(id)}
                    onChange={({ target }) => {
                      const others = words.photos.filter((each) => each !== id)
                      onWords({ ...words, photos: target.checked ? [...others, id] : others })
                    }}
                  />
                </label>
              </li>
            ))}
          </ul>
        </fieldset>
      )}
      <Field label="What happens without it">
        <textarea
          className="field"
          rows={2}
          value={words.otherwise}
          onChange={(event) => onWords({ ...words, otherwise: event.target.value })}
        />
      </Field>
      <Button className="w-full" disabled={pending || !worked} onClick={write}>
        {pending
          ? 'Writing it…'
          : `Write the supplement${worked ? `, ${money(region, worked.price.totalCents)}` : ''}`}
      </Button>
      <Refused refusal={refusal} />
    </div>
  )
}

function Compared({ name, before, after }: { name: string; before: string; after: string }) {
  return (
    <tr className="border-t border-line align-top">
      <th className="py-1.5 pr-2 text-left font-normal text-ink-soft">{name}</th>
      <td className="py-1.5 pr-2">{before}</td>
      <td className={`py-1.5 ${before === after ? '' : 'font-semibold'}`}>{after}</td>
    </tr>
  )
}

type When = Answer<{ collectAt?: Instant }> | undefined

const isTooLate = (when: When | 'asking', wantedBy: LocalDay | undefined, region: Region): boolean =>
  wantedBy !== undefined &&
  typeof when === 'object' &&
  when.ok &&
  when.value.collectAt !== undefined &&
  dayIn(region.timezone, when.value.collectAt) > wantedBy

function whenText(when: When, region: Region, now: Instant): string {
  if (!when) return ''
  if (!when.ok) return when.message
  return when.value.collectAt ? moment(region, when.value.collectAt, now) : 'no day found'
}

/** When the car could be fetched with these choices; the last answer that was asked for counts. */
function useCollection(jobId: JobId, choices: Draft['choices']): When | 'asking' {
  const [when, setWhen] = useState<When | 'asking'>()
  const asked = useRef('')
  const key = choices ? JSON.stringify(choices) : ''
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key says all of the choices.
  useEffect(() => {
    asked.current = key
    if (!choices) return setWhen(undefined)
    setWhen('asking')
    const timer = setTimeout(() => {
      void reach(previewChange({ jobId, choices })).then((answer) => {
        if (asked.current === key) setWhen(answer)
      })
    }, REST_MS)
    return () => clearTimeout(timer)
  }, [key])
  return when
}
