import type { Metadata } from 'next'
import { askedOnce, type Search } from '@/app/asked'
import { everyone } from '@/core/shop'
import { JournalScreen } from '@/features/journal/journal-screen'
import { soughtIn } from '@/features/journal/sought'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { readJournal, whoWrote } from '@/server/journal/journal-store'
import { loadShop } from '@/server/shop/shop-store'
import { changesOfEntry, readingOf } from '@/text/en/changes'
import { whoText } from '@/text/en/journal'

export const metadata: Metadata = { title: 'Journal' }

const ON_A_PAGE = 60

export default async function JournalPage({ searchParams }: { searchParams: Search }) {
  const db = await database()
  const shop = await loadShop(db)
  const { setup } = shop
  const reading = readingOf(shop)
  const { typed, sought } = soughtIn(setup.region, await askedOnce(searchParams))
  const names = new Map(everyone(setup).map(({ id, name }) => [id, name]))
  const entries = await readJournal(db, sought, ON_A_PAGE + 1)
  return (
    <JournalScreen
      rows={entries.slice(0, ON_A_PAGE).map((entry) => ({
        ...entry,
        who: whoText(entry),
        ...(entry.by && names.has(entry.by) ? { atTheCar: names.get(entry.by)! } : {}),
        changes: changesOfEntry(reading, entry),
      }))}
      people={await whoWrote(db)}
      typed={typed}
      hasOlder={entries.length > ON_A_PAGE}
      region={setup.region}
      now={now()}
    />
  )
}
