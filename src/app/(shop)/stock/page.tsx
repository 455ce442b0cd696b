import type { Metadata } from 'next'
import { requestFloor } from '@/app/request-floor'
import { StockScreen } from '@/features/stock/stock-screen'
import { database } from '@/server/db/connection'
import { loadShelf } from '@/server/stock/shelf'

export const metadata: Metadata = { title: 'Stock' }

export default async function StockPage() {
  const floor = await requestFloor()
  const shelf = await loadShelf(await database(), floor)
  return <StockScreen shelf={shelf} region={floor.shop.setup.region} now={floor.now} />
}
