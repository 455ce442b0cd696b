'use client'

import type { BroughtList } from '@/core/bring'
import type { Instant, LocalDay } from '@/core/time'
import { ShopCrumb } from '../shop/shop-crumb'
import { BringList } from './bring-list'
import { BroughtLists } from './brought-lists'

type Props = { lists: readonly BroughtList[]; today: LocalDay; now: Instant }

/** What a shop brings along from before, and takes along when it wants. */
export function DataScreen({ lists, today, now }: Props) {
  return (
    <div className="mx-auto max-w-4xl p-5">
      <ShopCrumb />
      <h1 className="text-3xl">Your data</h1>
      <section className="mt-5">
        <h2 className="text-2xl">Bring customers and vehicles</h2>
        <p className="mt-1 max-w-prose text-ink-soft">
          Customers, their vehicles and what was done on them before. Anyone you already have is found by plate, VIN, telephone or e-mail. Nothing is imported until you have seen what it would bring.
        </p>
        <div className="mt-4">
          <BringList today={today} />
        </div>
        <BroughtLists lists={lists} now={now} />
      </section>
      <section className="mt-8 border-t border-line pt-5">
        <h2 className="text-2xl">Take it with you</h2>
        <p className="mt-1 max-w-prose text-ink-soft">
          All that was ever written down here is yours: for a spreadsheet, for your accountant, or for another
          program.
        </p>
        <ul className="mt-3 space-y-2">
          <li>
            <a href="/shop/data/tables.zip" download className="inline-flex min-h-11 items-center font-semibold underline underline-offset-4">
              Everything as tables (CSV, one zip file)
            </a>
          </li>
          <li>
            <a href="/shop/data/everything.zip" download className="inline-flex min-h-11 items-center font-semibold underline underline-offset-4">
              Everything with the photographs (JSON and JPEG, one zip file)
            </a>
          </li>
        </ul>
      </section>
    </div>
  )
}
