'use client'

import clsx from 'clsx'
import { useState } from 'react'
import type { Message } from '@/core/messages'
import { OCCASIONS, type QuietHours } from '@/core/messages'
import type { ProposalView } from '@/core/messages/proposed'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import {
  queueProposed,
  readReply,
  sendNow,
  skipProposed,
  withdrawQueued,
} from '@/server/messages/message-actions'
import { CHANNEL_NAME, OCCASION_NAME, withoutToken } from '@/text/en/messages'
import { moment } from '@/text/formats'
import { Button, ButtonLink } from '@/ui/button'
import { Link } from '@/ui/link'
import { useAction } from '@/ui/use-action'
import { messageStateText } from './message-text'

type Props = {
  proposals: { shown: ProposalView[]; more: number }
  queue: readonly Message[]
  sent: { messages: Message[]; more: boolean }
  replies: readonly Message[]
  plates: Readonly<Record<string, string>>
  page: number
  region: Region
  now: Instant
  quiet: QuietHours
}

/** What is to be said to whom today, what waits to go, and what became of what was said. */
export function MessagesScreen({ proposals, queue, sent, replies, plates, page, region, now, quiet }: Props) {
  const { run, pending, refusal } = useAction()
  const [went, setWent] = useState<{ queued: number; notBefore?: Instant }>()
  return (
    <div className="mx-auto max-w-6xl p-5">
      <h1 className="text-3xl">Messages</h1>
      <p className="mt-1 max-w-prose text-ink-soft">
        Nothing is sent by itself: you check each message and add it to the queue. From {quiet.from} to{' '}
        {quiet.until}
        {quiet.sundays ? ' and on Sundays' : ''} nothing is sent.
      </p>
      {refusal && (
        <p role="alert" className="mt-3 font-semibold text-copper">
          {refusal.message}
        </p>
      )}
      {!refusal && went && (
        <p role="status" className="mt-3">
          {went.notBefore
            ? `Quiet hours until ${moment(region, went.notBefore, now)}: nothing is sent before.`
            : `${went.queued} ${went.queued === 1 ? 'message' : 'messages'}, done.`}
        </p>
      )}
      {replies.length > 0 && (
        <section className="mt-6">
          <h2 className="text-xl">Unread replies</h2>
          <ul className="mt-2">
            {replies.map((message) => {
              const reply = message.events.find(({ kind }) => kind === 'replied')!
              return (
                <li key={message.id} className="flex flex-wrap items-center gap-3 border-t border-line py-2">
                  <span className="grow">
                    <Vehicle message={message} plates={plates} />: “{reply.words}”{' '}
                    <span className="text-sm text-ink-soft">
                      to “{message.subject}”, {moment(region, reply.at, now)}
                    </span>
                  </span>
                  <Button
                    look="outline"
                    disabled={pending}
                    onClick={() => run(readReply, { id: message.id })}
                  >
                    Read
                  </Button>
                </li>
              )
            })}
          </ul>
        </section>
      )}
      <Proposals proposals={proposals} pending={pending} run={run} onQueued={setWent} />
      <section className="mt-8">
        <div className="flex flex-wrap items-center justify-between gap-3">
          <h2 className="text-xl">In the queue</h2>
          {queue.length > 0 && (
            <Button look="outline" disabled={pending} onClick={() => run(sendNow, null, setWent)}>
              Send what is due now
            </Button>
          )}
        </div>
        {queue.length === 0 ? (
          <p className="mt-1 text-ink-soft">Empty.</p>
        ) : (
          <ul className="mt-2" data-testid="queue">
            {queue.map((message) => (
              <li key={message.id} className="flex flex-wrap items-center gap-3 border-t border-line py-2">
                <span className="grow">
                  <Vehicle message={message} plates={plates} />, {message.subject}{' '}
                  <span className="text-sm text-ink-soft">
                    {CHANNEL_NAME[message.channel]} to {message.address}, not before{' '}
                    {moment(region, message.notBefore, now)}
                    {message.lastError && `; ${messageStateText(message)}: ${message.lastError}`}
                  </span>
                </span>
                <Button
                  look="quiet"
                  disabled={pending}
                  onClick={() => run(withdrawQueued, { id: message.id })}
                >
                  Withdraw
                </Button>
              </li>
            ))}
          </ul>
        )}
      </section>
      <section className="mt-8">
        <h2 className="text-xl">Sent</h2>
        {sent.messages.length === 0 ? (
          <p className="mt-1 text-ink-soft">Nothing yet.</p>
        ) : (
          <ul className="mt-2" data-testid="sent">
            {sent.messages.map((message) => (
              <SentRow key={message.id} message={message} plates={plates} region={region} now={now} />
            ))}
          </ul>
        )}
        <div className="mt-3 flex gap-3">
          {page > 0 && (
            <ButtonLink look="outline" href={`/aftercare/messages?page=${page - 1}`}>
              Newer
            </ButtonLink>
          )}
          {sent.more && (
            <ButtonLink look="outline" href={`/aftercare/messages?page=${page + 1}`}>
              Older
            </ButtonLink>
          )}
        </div>
      </section>
    </div>
  )
}

function Vehicle({ message, plates }: { message: Message; plates: Props['plates'] }) {
  return (
    <Link href={`/vehicles/${message.vehicleId}/owner`} className="font-semibold">
      {plates[message.vehicleId]}
    </Link>
  )
}

type SentProps = { message: Message; plates: Props['plates']; region: Region; now: Instant }

function SentRow({ message, plates, region, now }: SentProps) {
  const last = message.events.at(-1)
  const bad = last?.kind === 'bounced'
  return (
    <li className="border-t border-line py-2">
      <details>
        <summary className="flex min-h-11 flex-wrap items-center gap-x-3">
          <span className="grow">
            <Vehicle message={message} plates={plates} />, {message.subject}
          </span>
          <span className={clsx('text-sm', bad ? 'font-semibold text-copper' : 'text-ink-soft')}>
            {message.sentAt ? moment(region, message.sentAt, now) : ''} {messageStateText(message)}
          </span>
        </summary>
        <p className="mt-1 max-w-prose rounded bg-lichen/60 p-3 whitespace-pre-line">
          {withoutToken(message.text)}
        </p>
        <ul className="mt-1 text-sm text-ink-soft">
          <li>
            {CHANNEL_NAME[message.channel]} to {message.address}
          </li>
          {message.events.map(({ kind, words, at }) => (
            <li key={kind}>
              {kind} {moment(region, at, now)}
              {words && `: “${words}”`}
            </li>
          ))}
        </ul>
      </details>
    </li>
  )
}

type ProposalsProps = Pick<Props, 'proposals'> &
  Pick<ReturnType<typeof useAction>, 'run' | 'pending'> & { onQueued: (went: { queued: number }) => void }

function Proposals({ proposals: { shown, more }, run, pending, onQueued }: ProposalsProps) {
  const [open, setOpen] = useState<string>()
  const occasions = OCCASIONS.filter((occasion) => shown.some((each) => each.occasion === occasion))
  if (shown.length === 0)
    return (
      <section className="mt-6">
        <h2 className="text-xl">To send today</h2>
        <p className="mt-1 text-ink-soft">
          Nothing. This list is made every day from visits due, seasons and fresh coatings.
        </p>
      </section>
    )
  return (
    <section className="mt-6" aria-label="To send today">
      <h2 className="text-xl">To send today</h2>
      {more > 0 && <p className="text-sm text-ink-soft">{more} more follow when these are done.</p>}
      {occasions.map((occasion) => {
        const own = shown.filter((each) => each.occasion === occasion)
        const ready = own.filter(({ held }) => !held)
        return (
          <div key={occasion} className="mt-4">
            <div className="flex flex-wrap items-center justify-between gap-3">
              <h3 className="text-lg">
                {OCCASION_NAME[occasion].name}{' '}
                <span className="font-text text-sm font-normal text-ink-soft">
                  {OCCASION_NAME[occasion].when}
                </span>
              </h3>
              {ready.length > 0 && (
                <Button
                  look="outline"
                  disabled={pending}
                  onClick={() => run(queueProposed, { keys: ready.map(({ key }) => key) }, onQueued)}
                >
                  Queue {ready.length === 1 ? 'it' : `all ${ready.length}`}
                </Button>
              )}
            </div>
            <ul className="mt-1">
              {own.map((each) => (
                <li key={each.key} className="border-t border-line py-1.5">
                  <div className="flex flex-wrap items-center gap-x-3">
                    <span className="grow">
                      <Link href={`/vehicles/${each.vehicleId}`} className="font-semibold">
                        {each.plate}
                      </Link>
                      , {each.name}{' '}
                      <span className={clsx('text-sm', each.held ? 'text-copper' : 'text-ink-soft')}>
                        {each.held ?? each.way}
                      </span>
                    </span>
                    <Button
                      look="quiet"
                      aria-expanded={open === each.key}
                      onClick={() => setOpen(open === each.key ? undefined : each.key)}
                    >
                      Preview
                    </Button>
                    {!each.held && (
                      <Button
                        look="outline"
                        disabled={pending}
                        onClick={() => run(queueProposed, { keys: [each.key] }, onQueued)}
                      >
                        Queue
                      </Button>
                    )}
                    <Button
                      look="quiet"
                      disabled={pending}
                      onClick={() => run(skipProposed, { key: each.key })}
                    >
                      Skip
                    </Button>
                  </div>
                  {open === each.key && (
                    <div className="my-2 max-w-prose rounded bg-lichen/60 p-4">
                      <p className="font-head font-semibold">{each.subject}</p>
                      <p className="mt-1 whitespace-pre-line">{withoutToken(each.text)}</p>
                    </div>
                  )}
                </li>
              ))}
            </ul>
          </div>
        )
      })}
    </section>
  )
}
