import { writeCsv } from '@/core/csv'
import { soughtIn } from '@/features/journal/sought'
import { database } from '@/server/db/connection'
import { readJournal } from '@/server/journal/journal-store'
import { loadShop } from '@/server/shop/shop-store'
import { changesOfEntry, readingOf } from '@/text/en/changes'
import { deedText, JOURNAL_COLUMNS, whoText } from '@/text/en/journal'

/** More than a busy year. */
const MOST = 100_000

/** The journal, or what is looked for in it, as CSV (RFC 4180); times in UTC. */
export async function GET(request: Request) {
  const db = await database()
  const shop = await loadShop(db)
  const { setup } = shop
  const reading = readingOf(shop)
  const { sought } = soughtIn(setup.region, Object.fromEntries(new URL(request.url).searchParams))
  const entries = await readJournal(db, sought, MOST)
  const rows = entries.map((entry) => [
    entry.position,
    entry.at,
    whoText(entry),
    entry.role,
    deedText(entry.action),
    entry.action,
    entry.plate ?? '',
    entry.device ?? '',
    entry.sent ?? '',
    changesOfEntry(reading, entry)
      .map(({ name, before, after }) => `${name}: ${before} → ${after}`)
      .join('; '),
  ])
  return new Response(writeCsv(JOURNAL_COLUMNS, rows), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="fern-yard-journal.csv"',
      'cache-control': 'no-store',
    },
  })
}
