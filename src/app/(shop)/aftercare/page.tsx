import type { Metadata } from 'next'
import { askedOnce, type Search } from '@/app/asked'
import { DUE_FILTERS, type DueFilter } from '@/core/job'
import { dayIn } from '@/core/time'
import { DueScreen } from '@/features/aftercare/due-screen'
import { countDue, listDue } from '@/server/aftercare/due-list'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'

export const metadata: Metadata = { title: 'Aftercare' }

export default async function AftercarePage({ searchParams }: { searchParams: Search }) {
  const { show, page: asked } = await askedOnce<'show' | 'page'>(searchParams)
  const filter: DueFilter = DUE_FILTERS.find((each) => each === show) ?? 'now'
  const page = Math.max(0, Math.floor(Number(asked ?? 0)) || 0)
  const db = await database()
  const { setup, catalogue } = await loadShop(db)
  const at = now()
  const today = dayIn(setup.region.timezone, at)
  const { cars, more, unread } = await listDue(db, filter, today, page)
  return (
    <DueScreen
      cars={cars}
      more={more}
      unread={unread}
      page={page}
      filter={filter}
      counts={await countDue(db, today)}
      products={new Map(catalogue.map(({ id, name }) => [id, name]))}
      today={today}
      now={at}
      region={setup.region}
    />
  )
}
