'use client'

import { useState } from 'react'
import { type Balance, PAYMENT_WAYS, type Payment, type PaymentWay } from '@/core/handover'
import type { JobId } from '@/core/ids'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { useCarAction } from '@/features/queue/use-car-action'
import { crossPaymentOut, recordPayment } from '@/server/handover/handover-actions'
import { minorDigits, moment, money } from '@/text/formats'
import { fieldText, numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'

const WAY_WORDS: Record<PaymentWay, string> = { card: 'Card', cash: 'Cash', transfer: 'Transfer' }

const RECORD = { action: recordPayment, name: 'handover.record-payment', about: 'a payment' }
const CROSS_OUT = {
  action: crossPaymentOut,
  name: 'handover.cross-payment-out',
  about: 'a voided payment',
}

const OWN = [RECORD, CROSS_OUT]

type Props = {
  jobId: JobId
  payments: readonly Payment[]
  balance: Balance
  region: Region
  now: Instant
}

/** What was agreed, what came in, what is open. */
export function Payments({ jobId, payments, balance, region, now }: Props) {
  const [typed, setTyped] = useState<{ amount: string; way: PaymentWay; note: string }>({
    amount: '',
    way: 'card',
    note: '',
  })
  const digits = minorDigits(region)
  const { run, pending, refusal, notice } = useCarAction(OWN)
  const wrong = refusal ? { error: refusal.message } : {}
  const keep = () =>
    run(RECORD, { jobId, euros: numberOf(typed.amount), way: typed.way, note: typed.note }, () =>
      setTyped({ ...typed, amount: '', note: '' }),
    )
  return (
    <section aria-label="Payment">
      <h2 className="mb-2 text-xl">Payment</h2>
      <p data-testid="balance">
        Total {money(region, balance.totalCents)}, paid {money(region, balance.paidCents)}
        {balance.openCents === 0 ? '.' : ', '}
        {balance.openCents !== 0 && (
          <strong className={balance.openCents > 0 ? 'text-copper' : ''}>
            {balance.openCents > 0
              ? `balance due ${money(region, balance.openCents)}`
              : `${money(region, -balance.openCents)} too much`}
          </strong>
        )}
      </p>
      {payments.length > 0 && (
        <ul className="mt-1 text-[15px]">
          {payments.map((paid) => (
            <li key={paid.id} className="flex items-center gap-2 border-t border-line">
              <span className={paid.takenBackAt ? 'grow text-ink-soft line-through' : 'grow'}>
                {money(region, paid.cents)}, {WAY_WORDS[paid.way].toLowerCase()},{' '}
                {moment(region, paid.at, now)}
                {paid.note && `, ${paid.note}`}
              </span>
              {!paid.takenBackAt && (
                <Button look="quiet" disabled={pending} onClick={() => run(CROSS_OUT, { id: paid.id })}>
                  Void payment
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <Field label="Amount received" {...wrong}>
          <NumberInput
            className="w-28"
            placeholder={
              balance.openCents > 0 ? fieldText(region, balance.openCents / 10 ** digits, digits, digits) : ''
            }
            value={typed.amount}
            onChange={(text) => setTyped({ ...typed, amount: text })}
          />
        </Field>
        <Field label="Paid by">
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
          Record payment
        </Button>
      </div>
      {notice && (
        <p role="status" className="mt-2 font-semibold">
          {notice}
        </p>
      )}
    </section>
  )
}
