'use client'

import { useState } from 'react'
import type { Region } from '@/core/region'
import { PRICED_BY, type Shelf, type StoreKey, storeUnit } from '@/core/stock'
import type { Instant } from '@/core/time'
import { countStored, keepStore } from '@/server/stock/stock-actions'
import { stepTitle } from '@/text/en/step-names'
import { STORE_NAME } from '@/text/en/supplies'
import { currencySign, measured, minorDigits, moment, money, unitSign } from '@/text/formats'
import { title } from '@/text/title'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { useMayDo } from '@/ui/me'
import { NumberInput } from '@/ui/number-input'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'
import { NumberEditor } from './number-editor'
import { Order } from './order'

type Line = Shelf['stores'][number]

export const storeName = (key: StoreKey) => title({ language: 'en' }, STORE_NAME[key])

const quantityOf = (key: StoreKey): 'length' | 'volume' => (storeUnit(key) === 'm' ? 'length' : 'volume')

const amountText = (region: Region, key: StoreKey, amount: number) =>
  measured(region, quantityOf(key), Math.round(amount))

/** Liquids and tape: what is there by the last count, what the days to come take by their recipes, and where it ends. */
export function Stores({ stores, now }: { stores: readonly Line[]; now: Instant }) {
  if (stores.length === 0) return null
  return (
    <section className="mt-8" aria-label="Liquids and tape">
      <h2 className="text-xl">Liquids and tape</h2>
      <p className="mb-2 text-ink-soft">
        Needed by the recipes of the coming days. Whatever is counted once is taken from as steps are done.
      </p>
      <table className="w-full text-[15px]">
        <thead className="text-left text-sm text-ink-soft">
          <tr>
            <th className="py-1 font-normal">What</th>
            <th className="py-1 text-right font-normal">There</th>
            <th className="py-1 text-right font-normal">Needed</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {stores.map((line) => (
            <StoreLine key={line.of} line={line} now={now} />
          ))}
        </tbody>
      </table>
    </section>
  )
}

function StoreLine({ line, now }: { line: Line; now: Instant }) {
  const region = useRegion()
  const { of: key, left, needed, runsOutAt, order, orderBelow } = line
  const mayPrice = useMayDo('manage')
  return (
    <tr className="border-t border-line" data-store={key}>
      <td className="py-1.5">
        <strong className="font-semibold">{storeName(key)}</strong>
        <span className="ml-3">
          <Order
            of={`store:${key}`}
            name={storeName(key)}
            order={line.ordered}
            wanted={order}
            words="Order"
          />
        </span>
        {runsOutAt && (
          <span className="block text-copper">
            Runs out at “{stepTitle(region, runsOutAt.title)}” on {runsOutAt.plate},{' '}
            {moment(region, runsOutAt.at, now)}
          </span>
        )}
      </td>
      <td className="py-1.5 text-right">
        {left === undefined ? 'not counted' : amountText(region, key, left)}
      </td>
      <td className="py-1.5 text-right">{needed > 0 ? amountText(region, key, needed) : ''}</td>
      <td className="py-1 text-right">
        <NumberEditor
          words="Count"
          label={`Count ${storeName(key)}`}
          field="There"
          quantity={quantityOf(key)}
          action={countStored}
          input={(amount) => ({ key, amount })}
        />
        {mayPrice && (
          <OrderAndPrice
            line={line}
            words={
              orderBelow > 0 ? `Order below ${amountText(region, key, orderBelow)}` : 'Order point and price'
            }
          />
        )}
      </td>
    </tr>
  )
}

function OrderAndPrice({ line: { of: key, orderBelow, cents }, words }: { line: Line; words: string }) {
  const region = useRegion()
  const [open, setOpen] = useState(false)
  const digits = minorDigits(region)
  const [typed, setTyped] = useState({
    orderBelow: String(orderBelow),
    price: cents > 0 ? (cents / 10 ** digits).toFixed(digits) : '0',
  })
  const { run, pending, errorAt } = useAction()
  const priced = measured(region, quantityOf(key), PRICED_BY[storeUnit(key)])
  if (!open)
    return (
      <Button look="quiet" aria-label={`${words}, ${storeName(key)}`} onClick={() => setOpen(true)}>
        {words}
        {cents > 0 && `, ${money(region, cents)} for ${priced}`}
      </Button>
    )
  const keep = () =>
    run(keepStore, { key, orderBelow: numberOf(typed.orderBelow), price: numberOf(typed.price) }, () =>
      setOpen(false),
    )
  return (
    <span className="mt-1 flex flex-wrap items-end justify-end gap-2 text-left">
      <Field label={`Order below, ${unitSign(region, quantityOf(key))}`} {...errorAt('orderBelow')}>
        <NumberInput
          quantity={quantityOf(key)}
          className="w-28"
          value={typed.orderBelow}
          onChange={(value) => setTyped({ ...typed, orderBelow: value })}
        />
      </Field>
      <Field label={`Price of ${priced}, ${currencySign(region)}`} {...errorAt('price')}>
        <NumberInput
          className="w-28"
          value={typed.price}
          onChange={(value) => setTyped({ ...typed, price: value })}
        />
      </Field>
      <Button disabled={pending} onClick={keep}>
        Save
      </Button>
      <Button look="outline" onClick={() => setOpen(false)}>
        Cancel
      </Button>
    </span>
  )
}
