import type { ReactNode } from 'react'
import type { Customer } from '@/core/customer'
import type { PrivateLink } from '@/core/handover'
import type { VehicleId } from '@/core/ids'
import type { Message, Template } from '@/core/messages'
import type { Region } from '@/core/region'
import { dayIn, type Instant, type LocalDay } from '@/core/time'
import { OCCASION_NAME, withoutToken } from '@/text/en/messages'
import { moment, shortDay } from '@/text/formats'
import { messageStateText } from '../aftercare/message-text'
import { ContactForm } from './contact-form'
import { OwnerPages } from './owner-pages'
import { WriteMessage } from './write-message'

type Props = {
  customer: Customer
  vehicleId: VehicleId
  car: string
  failed: readonly string[]
  templates: { words: Template; 'panel-failed': Template }
  repair?: { day: LocalDay; onGuarantee: boolean }
  messages: readonly Message[]
  links: readonly PrivateLink[]
  /** What they said of reminders, in words. */
  consents: readonly string[]
  /** What whoever looks may do with all that is held of them; nothing where they may not. */
  personal: ReactNode
  region: Region
  now: Instant
}

/** Whose car it is: how they are reached, what they were told and answered, and the page they can look at. */
export function OwnerScreen({
  customer,
  vehicleId,
  car,
  failed,
  templates,
  repair,
  messages,
  links,
  consents,
  personal,
  region,
  now,
}: Props) {
  return (
    <div className="mx-auto grid max-w-6xl gap-8 p-5 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <div className="space-y-8">
        <section>
          <h2 className="text-2xl">Write to {customer.name}</h2>
          <WriteMessage
            key={`${customer.language} ${failed.join()}`}
            customer={customer}
            vehicleId={vehicleId}
            car={car}
            failed={failed}
            templates={templates}
            {...(repair ? { repair } : {})}
          />
        </section>
        <section>
          <h2 className="text-2xl">Messages</h2>
          {messages.length === 0 ? (
            <p className="mt-1 text-ink-soft">No messages yet.</p>
          ) : (
            <ol className="mt-2" data-testid="said">
              {messages.toReversed().map((message) => (
                <li key={message.id} className="border-t border-line py-3">
                  <p>
                    <strong>{message.subject}</strong>{' '}
                    <span className="text-sm text-ink-soft">
                      {OCCASION_NAME[message.occasion].name},{' '}
                      {shortDay(region, dayIn(region.timezone, message.sentAt ?? message.notBefore))},{' '}
                      {messageStateText(message)}
                    </span>
                  </p>
                  <p className="mt-1 max-w-prose text-[15px] whitespace-pre-line">
                    {withoutToken(message.text)}
                  </p>
                  {message.events
                    .filter(({ words }) => words)
                    .map(({ kind, words, at }) => (
                      <p
                        key={kind}
                        className={`mt-1 border-l-4 pl-3 ${kind === 'bounced' ? 'border-copper text-copper' : 'border-fern'}`}
                      >
                        {kind === 'replied' ? `“${words}”` : words}{' '}
                        <span className="text-sm text-ink-soft">{moment(region, at, now)}</span>
                      </p>
                    ))}
                </li>
              ))}
            </ol>
          )}
        </section>
      </div>
      <aside className="space-y-8">
        <section>
          <h2 className="text-xl">Contact details</h2>
          <ContactForm key={`${customer.id} ${customer.mayRemind}`} customer={customer} consents={consents} />
        </section>
        <section>
          <h2 className="text-xl">Their page</h2>
          <OwnerPages vehicleId={vehicleId} links={links} region={region} now={now} />
        </section>
        {personal}
      </aside>
    </div>
  )
}
