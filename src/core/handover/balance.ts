import type { Instant } from '../time'

export const PAYMENT_WAYS = ['card', 'cash', 'transfer'] as const
export type PaymentWay = (typeof PAYMENT_WAYS)[number]

/** Money that came in for a job. Cents. */
export type Payment = {
  id: string
  cents: number
  way: PaymentWay
  note: string
  at: Instant
  takenBackAt?: Instant
}

export type Balance = { totalCents: number; paidCents: number; openCents: number }

/** What is still to be paid; below 0 where more came in than was agreed. */
export function balanceOf(totalCents: number, payments: readonly Payment[]): Balance {
  const paidCents = payments.reduce((sum, { cents, takenBackAt }) => sum + (takenBackAt ? 0 : cents), 0)
  return { totalCents, paidCents, openCents: totalCents - paidCents }
}
