import type { Metadata } from 'next'
import { RecordChanges } from '@/app/record-changes'
import { requestFloor } from '@/app/request-floor'
import { asSeenBy } from '@/core/staff'
import { StockScreen } from '@/features/stock/stock-screen'
import { database } from '@/server/db/connection'
import { eyesNow } from '@/server/staff/who-is-here'
import { loadShelf } from '@/server/stock/shelf'

export const metadata: Metadata = { title: 'Stock' }

export default async function StockPage() {
  const floor = await requestFloor()
  const shelf = await loadShelf(await database(), floor)
  return (
    <>
      <StockScreen
        shelf={asSeenBy(await eyesNow(), shelf)}
        region={floor.shop.setup.region}
        now={floor.now}
      />
      <RecordChanges
        of={['bottles', 'stock_orders', 'reorder_points', 'stores', 'supplies'].map((of) => ({ of }))}
      />
    </>
  )
}
