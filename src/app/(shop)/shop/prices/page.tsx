import type { Metadata } from 'next'
import { RecordChanges } from '@/app/record-changes'
import { daysOfCalendar } from '@/core/offer'
import { PricesScreen } from '@/features/shop/prices-screen'
import { database } from '@/server/db/connection'
import { loadShop, shopVersion } from '@/server/shop/shop-store'

export const metadata: Metadata = { title: 'Prices' }

export default async function PricesPage() {
  const db = await database()
  const version = await shopVersion(db)
  const { setup } = await loadShop(db)
  return (
    <>
      <PricesScreen
        rates={setup.rates}
        terms={setup.terms}
        vendors={setup.vendors.map(({ calendar, ...vendor }) => ({
          ...vendor,
          when: daysOfCalendar(setup.calendars[calendar]!),
        }))}
        version={version}
        region={setup.region}
      />
      <RecordChanges width="narrow" of={[{ of: 'shop', parts: ['rates', 'terms', 'vendors'] }]} />
    </>
  )
}
