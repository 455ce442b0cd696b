import { writeCsv } from '@/core/csv'
import { PERIODS } from '@/core/learning'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { CSV_TABLES, loadLearned } from '@/server/learning/learning'
import { loadShop } from '@/server/shop/shop-store'

/** One table of what was learned, as CSV (RFC 4180). */
export async function GET(request: Request, { params }: { params: Promise<{ table: string }> }) {
  const { table } = await params
  const name = table.replace(/\.csv$/, '')
  const write = Object.hasOwn(CSV_TABLES, name) ? CSV_TABLES[name] : undefined
  if (!write) return new Response('There is no such table.', { status: 404 })
  const months = new URL(request.url).searchParams.get('months')
  const db = await database()
  const period = PERIODS.find((each) => String(each) === months) ?? 12
  const shop = await loadShop(db)
  const { columns, rows } = write(
    await loadLearned(db, shop, now(), period),
    shop.setup.region,
    shop.setup.methods,
  )
  return new Response(writeCsv(columns, rows), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${name}-${period}-months.csv"`,
    },
  })
}
