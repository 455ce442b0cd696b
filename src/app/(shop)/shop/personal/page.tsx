import type { Metadata } from 'next'
import { RecordChanges } from '@/app/record-changes'
import { dayIn } from '@/core/time'
import { PersonalScreen } from '@/features/people/personal-screen'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadRetention, outdated, proposedThisMonth } from '@/server/people/retention'
import { loadShop } from '@/server/shop/shop-store'
import { monthYear } from '@/text/formats'

export const metadata: Metadata = { title: 'Customers’ data' }

export default async function PersonalPage() {
  const db = await database()
  const { region } = (await loadShop(db)).setup
  const today = dayIn(region.timezone, now())
  const found = await outdated(db, today)
  return (
    <>
      <PersonalScreen
        rules={await loadRetention(db)}
        isProposed={(await proposedThisMonth(db, today)) !== undefined}
        outdated={{
          ...found,
          customers: found.customers.map(({ id, name, lastOn, vehicle }) => ({
            id,
            name,
            last: `last here in ${monthYear(region, lastOn)}`,
            ...(vehicle ? { vehicle } : {}),
          })),
        }}
      />
      <RecordChanges width="narrow" of={[{ of: 'retention' }]} />
    </>
  )
}
