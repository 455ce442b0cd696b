import type { Metadata } from 'next'
import { StockScreen } from '@/features/stock/stock-screen'
import { database } from '@/server/db/connection'
import { requestFloor } from '@/server/floor/request-floor'
import { loadShelf } from '@/server/stock/shelf'

export const metadata: Metadata = { title: 'Stock' }

export default async function StockPage() {
  const floor = await requestFloor()
  const shelf = await loadShelf(await database(), floor)
  return <StockScreen shelf={shelf} zone={floor.shop.setup.timezone} now={floor.now} />
}
