'use client'

import { useState, useTransition } from 'react'
import { type Balance, PAYMENT_WAYS, type Payment, type PaymentWay } from '@/core/handover'
import type { Instant } from '@/core/time'
import { crossPaymentOut, type HandoverAnswer, recordPayment } from '@/server/handover/handover-actions'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { typedNumber } from '@/ui/typed-number'
import { moment, money } from '@/ui/when'

const WAY_WORDS: Record<PaymentWay, string> = { card: 'Card', cash: 'Cash', transfer: 'Transfer' }

type Props = {
  jobId: string
  payments: readonly Payment[]
  balance: Balance
  currency: string
  zone: string
  now: Instant
}

/** What was agreed, what came in, what is open. */
export function Payments({ jobId, payments, balance, currency, zone, now }: Props) {
  const [typed, setTyped] = useState<{ amount: string; way: PaymentWay; note: string }>({
    amount: '',
    way: 'card',
    note: '',
  })
  const [answer, setAnswer] = useState<HandoverAnswer>()
  const [pending, startTransition] = useTransition()
  const wrong = answer?.kind === 'refused' && answer.field === 'euros' ? { error: answer.message } : {}
  const keep = () =>
    startTransition(async () => {
      const told = await recordPayment({
        jobId,
        euros: typedNumber(typed.amount),
        way: typed.way,
        note: typed.note,
      }).catch(
        (): HandoverAnswer => ({
          kind: 'refused',
          field: 'euros',
          message: 'The server does not answer. Nothing was written; try again.',
        }),
      )
      setAnswer(told)
      if (told.kind === 'done') setTyped({ ...typed, amount: '', note: '' })
    })
  return (
    <section aria-label="The money">
      <h2 className="mb-2 text-xl">The money</h2>
      <p data-testid="balance">
        Agreed {money(currency, balance.totalCents)}, paid {money(currency, balance.paidCents)}
        {balance.openCents === 0 ? '.' : ', '}
        {balance.openCents !== 0 && (
          <strong className={balance.openCents > 0 ? 'text-copper' : ''}>
            {balance.openCents > 0
              ? `open ${money(currency, balance.openCents)}`
              : `${money(currency, -balance.openCents)} too much`}
          </strong>
        )}
      </p>
      {payments.length > 0 && (
        <ul className="mt-1 text-[15px]">
          {payments.map((payment) => (
            <li key={payment.id} className="flex items-center gap-2 border-t border-line">
              <span className={payment.takenBackAt ? 'grow text-ink-soft line-through' : 'grow'}>
                {money(currency, payment.cents)}, {WAY_WORDS[payment.way].toLowerCase()},{' '}
                {moment(zone, payment.at, now)}
                {payment.note && `, ${payment.note}`}
              </span>
              {!payment.takenBackAt && (
                <Button
                  look="quiet"
                  disabled={pending}
                  onClick={() => startTransition(async () => setAnswer(await crossPaymentOut(payment.id)))}
                >
                  Cross out
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <Field label="Came in" {...wrong}>
          <input
            className="field w-28"
            inputMode="decimal"
            autoComplete="off"
            placeholder={balance.openCents > 0 ? (balance.openCents / 100).toFixed(2) : ''}
            value={typed.amount}
            onChange={({ target }) => setTyped({ ...typed, amount: target.value })}
          />
        </Field>
        <Field label="By">
          <select
            className="field"
            value={typed.way}
            onChange={({ target }) => setTyped({ ...typed, way: target.value as PaymentWay })}
          >
            {PAYMENT_WAYS.map((way) => (
              <option key={way} value={way}>
                {WAY_WORDS[way]}
              </option>
            ))}
          </select>
        </Field>
        <Button look="outline" disabled={pending} onClick={keep}>
          Write down
        </Button>
      </div>
    </section>
  )
}
