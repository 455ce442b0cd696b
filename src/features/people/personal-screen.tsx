'use client'

import { useRouter } from 'next/navigation'
import { type FormEvent, useState } from 'react'
import { RETENTION_KINDS, type Retention, type RetentionKind } from '@/core/people'
import {
  keepRetention,
  leaveOutdated,
  letGoOfMessages,
  letGoOfPhotographs,
} from '@/server/people/people-actions'
import { counted, RETENTION_NAME } from '@/text/en/people'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { Link } from '@/ui/link'
import { NumberInput } from '@/ui/number-input'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'
import { ShopCrumb } from '../shop/shop-crumb'

export type PastRow = { id: string; name: string; last: string; vehicle?: string }

type Props = {
  rules: Retention
  outdated: { messages: number; photographs: number; customers: readonly PastRow[] }
  /** Whether the yard asks about it this month. */
  isProposed: boolean
}

/** For how long what is kept of people, and what has been kept for its time. */
export function PersonalScreen({ rules, outdated, isProposed }: Props) {
  return (
    <div className="mx-auto max-w-4xl space-y-8 p-5">
      <div>
        <ShopCrumb />
        <h1 className="mt-1 text-3xl">Customers’ data</h1>
        <p className="mt-2 max-w-2xl text-ink-soft">
          Nobody’s data is kept for longer than it serves. What one customer asks for, all that is held of
          them or to be erased, is under <em>Owner</em> of their car.
        </p>
      </div>
      <section className="space-y-3">
        <h2 className="text-xl">Kept long enough</h2>
        <LetGo outdated={outdated} isProposed={isProposed} />
      </section>
      <section className="space-y-3">
        <h2 className="text-xl">How long</h2>
        <RulesForm rules={rules} />
      </section>
    </div>
  )
}

function LetGo({
  outdated: { messages, photographs, customers },
  isProposed,
}: Pick<Props, 'outdated' | 'isProposed'>) {
  const router = useRouter()
  const { run, pending, refusal } = useAction()
  if (messages + photographs + customers.length === 0)
    return <p>Nothing has been kept for longer than the shop says below.</p>
  return (
    <>
      {isProposed && (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <Button
            look="outline"
            disabled={pending}
            onClick={() => run(leaveOutdated, null, () => router.refresh())}
          >
            Leave them this month
          </Button>
          <span className="text-sm text-ink-soft">The yard asks about them once a month.</span>
        </div>
      )}
      <ul>
        {messages > 0 && (
          <li className="flex flex-wrap items-center gap-4 border-b border-line py-1">
            <span className="grow">{counted(messages, 'message', 'messages')}</span>
            <Button
              look="outline"
              disabled={pending}
              onClick={() => run(letGoOfMessages, null, () => router.refresh())}
            >
              Delete the messages
            </Button>
          </li>
        )}
        {photographs > 0 && (
          <li className="flex flex-wrap items-center gap-4 border-b border-line py-1">
            <span className="grow">{counted(photographs, 'photograph', 'photographs')}</span>
            <Button
              look="outline"
              disabled={pending}
              onClick={() => run(letGoOfPhotographs, null, () => router.refresh())}
            >
              Delete the photographs
            </Button>
          </li>
        )}
        {customers.map(({ id, name, last, vehicle }) => (
          <li key={id} className="flex min-h-11 flex-wrap items-center gap-4 border-b border-line py-1">
            <span className="grow">
              {name} <span className="text-sm text-ink-soft">{last}</span>
            </span>
            {vehicle && (
              <Link className="inline-flex min-h-11 items-center px-4" href={`/vehicles/${vehicle}/owner`}>
                Look at {name}
              </Link>
            )}
          </li>
        ))}
      </ul>
      <Refused refusal={refusal} />
    </>
  )
}

function RulesForm({ rules }: Pick<Props, 'rules'>) {
  const router = useRouter()
  const [typed, setTyped] = useState<Record<RetentionKind, string>>({
    messages: String(rules.messages),
    photographs: String(rules.photographs),
    customers: String(rules.customers),
  })
  const { run, pending, refusal, isDone, errorAt, clear } = useAction()
  const submit = (event: FormEvent) => {
    event.preventDefault()
    const months = {
      messages: numberOf(typed.messages),
      photographs: numberOf(typed.photographs),
      customers: numberOf(typed.customers),
    }
    run(keepRetention, months, () => router.refresh())
  }
  return (
    <form onSubmit={submit} className="space-y-4">
      <div className="grid gap-4 sm:grid-cols-3">
        {RETENTION_KINDS.map((kind) => (
          <Field
            key={kind}
            label={`${RETENTION_NAME[kind].name}, months`}
            hint={RETENTION_NAME[kind].words}
            {...errorAt(kind)}
          >
            <NumberInput
              whole
              value={typed[kind]}
              onChange={(value) => {
                setTyped({ ...typed, [kind]: value })
                clear()
              }}
            />
          </Field>
        ))}
      </div>
      <Refused
        refusal={
          refusal && (RETENTION_KINDS as readonly string[]).includes(refusal.field) ? undefined : refusal
        }
      />
      <div className="flex items-center gap-3">
        <Button type="submit" look="outline" disabled={pending}>
          Save
        </Button>
        {isDone && <span role="status">Saved.</span>}
      </div>
    </form>
  )
}
