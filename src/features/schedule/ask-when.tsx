'use client'

import { useState, useTransition } from 'react'
import type { Answer as Told } from '@/core/answer'
import { bringTime, TOLD_STATES } from '@/core/planning'
import type { Collection, EnquiryAnswer, WayIn } from '@/core/planning/caller'
import type { Region } from '@/core/region'
import { dayIn, type Instant, type LocalDay, minutesBetween } from '@/core/time'
import { SHAPE_NAME, SHAPES } from '@/core/vehicle'
import { askWhen } from '@/server/planning/enquiry-actions'
import { TOLD_STATE_WORDS } from '@/text/en/enquiry'
import { namedReasonText, placingReason } from '@/text/en/placing'
import { spelt } from '@/text/en/spelling'
import { clock, moment, money, paperDay } from '@/text/formats'
import { Button, ButtonLink } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { DayInput } from '@/ui/day-input'
import { Field } from '@/ui/field'
import { TimeInput } from '@/ui/time-input'
import { reach } from '@/ui/use-action'
import { HoldSlot } from './hold-slot'
import { laterText } from './later-text'
import { ChanceMark, SurerTime } from './sure-times'

type Props = {
  region: Region
  now: Instant
  today: LocalDay
  clockNow: string
  packages: { key: string; name: string; pitch: string }[]
  /** Names of people and places, by id. */
  names: Record<string, string>
}

/** Somebody calls: when could the car be fetched? Answered from the calendar as it stands, with nobody moved. */
export function AskWhen({ region, now, today, clockNow, packages, names }: Props) {
  const [typed, setTyped] = useState<Parameters<typeof askWhen>[0]>({
    shape: 'hatchback',
    state: 'usual',
    packageKey: packages[Math.floor(packages.length / 2)]?.key ?? '',
    day: today,
    time: clockNow,
  })
  const [told, setTold] = useState<Told<EnquiryAnswer>>()
  const answer = told?.ok ? told.value : undefined
  const refusal = told?.ok === false ? told : undefined
  const [pending, startTransition] = useTransition()
  const change = (next: Partial<typeof typed>) => {
    setTyped({ ...typed, ...next })
    setTold(undefined)
  }
  const ask = () => startTransition(async () => setTold(await reach(askWhen(typed))))
  const wrong = (field: 'day' | 'time') => (refusal?.field === field ? { error: refusal.message } : {})
  const message = refusal && refusal.field === '' ? refusal.message : ''
  const chosen = packages.find(({ key }) => key === typed.packageKey)
  return (
    <div className="mx-auto max-w-5xl p-5">
      <h1 className="text-2xl">Earliest collection date</h1>
      <p className="mt-1 mb-4 max-w-prose text-ink-soft">
        For somebody on the telephone, before the car has been seen. No existing booking is moved.
      </p>
      <form
        className="sheet space-y-4 p-4"
        onSubmit={(event) => {
          event.preventDefault()
          ask()
        }}
      >
        <Choice
          label="The car"
          options={SHAPES.map((shape) => ({ value: shape, name: spelt(region, SHAPE_NAME[shape]) }))}
          value={typed.shape}
          onChange={(shape) => change({ shape })}
        />
        <div>
          <Choice
            label="Its paint, as they describe it"
            options={TOLD_STATES.map((state) => ({ value: state, name: TOLD_STATE_WORDS[state].name }))}
            value={typed.state}
            onChange={(state) => change({ state })}
          />
          <p className="mt-1 text-sm text-ink-soft">{TOLD_STATE_WORDS[typed.state].means}</p>
        </div>
        <div>
          <Choice
            label="What they want"
            options={packages.map(({ key, name }) => ({ value: key, name }))}
            value={typed.packageKey}
            onChange={(packageKey) => change({ packageKey })}
          />
          <p className="mt-1 text-sm text-ink-soft">{chosen?.pitch}</p>
        </div>
        <div className="flex flex-wrap items-end gap-3">
          <Field label="It can come on" {...wrong('day')}>
            <DayInput value={typed.day} onChange={(day) => change({ day })} />
          </Field>
          <Field label="From" {...wrong('time')}>
            <TimeInput value={typed.time} onChange={(time) => change({ time })} />
          </Field>
          <Button type="submit" disabled={pending}>
            {pending ? 'Looking…' : 'Find dates'}
          </Button>
          <p role="alert" className="text-copper">
            {message}
          </p>
        </div>
      </form>
      {answer && (
        <Answer
          answer={answer}
          told={typed}
          today={today}
          checkIn={`/intake?${new URLSearchParams({ shape: typed.shape, day: typed.day, wishes: chosen?.name ?? '' })}`}
          region={region}
          now={now}
          names={names}
        />
      )}
    </div>
  )
}

type AnswerProps = Pick<Props, 'region' | 'now' | 'names'> & {
  answer: EnquiryAnswer
  /** What it is the answer to. */
  told: Parameters<typeof askWhen>[0]
  today: LocalDay
  /** The check-in, begun with what was said on the telephone. */
  checkIn: string
}

function Answer({ answer, told, today, checkIn, ...shop }: AnswerProps) {
  switch (answer.kind) {
    case 'no-package':
      return <p className="mt-4 text-copper">This package is no longer sold. Reload the page.</p>
    case 'blocked':
      return (
        <p role="alert" className="mt-4 max-w-prose text-copper">
          The current schedule cannot be met, so no date can be given. Re-plan first.{' '}
          {answer.reasons[0] && namedReasonText(answer.reasons[0], shop)}
        </p>
      )
    case 'impossible':
      return (
        <section aria-label="The answer" className="mt-4 space-y-3">
          <p className="max-w-prose text-copper">
            No free slot:{' '}
            {answer.reasons.map((reason) => placingReason(reason, answer.plan.operations, shop)).join(' ')}
          </p>
          <Sooner sooner={answer.sooner} {...shop} />
        </section>
      )
    case 'promise': {
      const { usual, sooner, noSooner, totalCents } = answer
      return (
        <section aria-label="The answer" className="mt-4 space-y-4">
          <div className="sheet border-l-4 border-l-fern p-4">
            <p className="text-ink-soft">Earliest date we can promise</p>
            <p className="font-head text-3xl font-semibold">
              {paperDay(shop.region, dayIn(shop.region.timezone, usual.collectAt))}, from{' '}
              {clock(shop.region, usual.collectAt)}{' '}
              <ChanceMark region={shop.region} chance={usual.chances[0]!.chance} />
            </p>
            {usual.chances.length > 1 && (
              <p className="text-lg">
                Surer: <SurerTime region={shop.region} chances={usual.chances} />
              </p>
            )}
            {usual.hangsOn && <p className="mt-1 text-ink-soft">{laterText(usual.hangsOn, shop)}</p>}
            <OnPaper collection={usual} {...shop} />
            <p className="mt-1">
              {needNotBe(usual, shop)} About {roundMoney(shop.region, totalCents)} with tax, until the paint
              has been read and tried.
            </p>
            <Course collection={usual} {...shop} />
          </div>
          <Sooner sooner={sooner} {...shop} />
          {noSooner.length > 0 && (
            <p className="text-sm text-ink-soft">
              Also tried, but no sooner: {noSooner.map((kind) => WAY_WORDS[kind]).join('; ')}.
            </p>
          )}
          <ButtonLink href={checkIn}>Check in</ButtonLink>
          <HoldSlot told={told} usual={usual} region={shop.region} today={today} />
        </section>
      )
    }
  }
}

/** Why it is promised later than it is planned to be done. */
function OnPaper({
  collection: { operations, collectAt },
  region,
  now,
}: { collection: Collection } & Pick<Props, 'region' | 'now'>) {
  const end = operations.map((placed) => placed.end).reduce((a, b) => (a > b ? a : b))
  if (minutesBetween(end, collectAt) < WORTH_A_WORD_MINUTES) return null
  return (
    <p className="mt-1 text-ink-soft">
      It is planned to be done {moment(region, end, now)}. The time after that is for work that takes longer,
      on this car and on those before it.
    </p>
  )
}

/** A date that lies less after the work than this needs no explanation, minutes. */
const WORTH_A_WORD_MINUTES = 480

/** A car that waits for its bay may as well wait at home. */
function needNotBe({ operations }: Collection, { region, now }: Pick<Props, 'region' | 'now'>): string {
  return `It need not be here before ${moment(region, bringTime(operations), now)}.`
}

/** Nobody believes the cents of a price for a car that has not been seen. */
const roundMoney = (region: Region, cents: number) =>
  money(region, Math.round(cents / 1000) * 1000).replace(/[.,]00$/, '')

const WAY_WORDS: Record<WayIn['kind'], string> = {
  usual: 'as usual',
  'washed-inside': 'washed without a hose where it stands',
  'extra-day': 'with somebody in on a closed day',
  'any-bay': 'in any bay under a roof',
}

function wayText(way: WayIn, region: Region, names: Record<string, string>): string {
  switch (way.kind) {
    case 'usual':
      return 'As usual'
    case 'washed-inside':
      return 'Washed without a hose where it stands, not in the wash bay'
    case 'extra-day':
      return `If ${names[way.person] ?? way.person} comes in on ${paperDay(region, way.day)}`
    case 'any-bay':
      return 'In any bay under a roof'
  }
}

function Sooner({
  sooner,
  ...shop
}: { sooner: Collection[] } & Omit<AnswerProps, 'answer' | 'told' | 'today' | 'checkIn'>) {
  if (sooner.length === 0) return null
  return (
    <div>
      <h2 className="mb-2 text-xl">Sooner, if the shop makes an exception</h2>
      <ul className="grid gap-3 md:grid-cols-2">
        {sooner.map((collection) => (
          <li key={collection.way.kind} className="sheet p-4">
            <p className="font-semibold">{wayText(collection.way, shop.region, shop.names)}</p>
            <p className="font-head text-xl">
              {paperDay(shop.region, dayIn(shop.region.timezone, collection.collectAt))}, from{' '}
              {clock(shop.region, collection.collectAt)}{' '}
              <ChanceMark region={shop.region} chance={collection.chances[0]!.chance} />
            </p>
            <Course collection={collection} {...shop} />
          </li>
        ))}
      </ul>
    </div>
  )
}

/** When each stay begins and ends: what the caller may ask next. */
function Course({
  collection,
  region,
  now,
  names,
}: { collection: Collection } & Omit<AnswerProps, 'answer' | 'told' | 'today' | 'checkIn'>) {
  const { plan, operations } = collection
  const of = (id: string) => operations.find(({ operation }) => operation === id)
  return (
    <ol className="mt-2 space-y-0.5 text-sm text-ink-soft">
      {plan.stays.map((stay) => {
        const own = stay.operations.flatMap((id) => of(id) ?? [])
        const [first] = own
        if (!first) return null
        const from = own.map(({ start }) => start).reduce((a, b) => (a < b ? a : b))
        const to = own.map(({ end }) => end).reduce((a, b) => (a > b ? a : b))
        return (
          <li key={stay.id}>
            {names[first.place] ?? first.place}: {moment(region, from, now)} to {moment(region, to, now)}
          </li>
        )
      })}
    </ol>
  )
}
