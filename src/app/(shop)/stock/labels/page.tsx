import type { Metadata } from 'next'
import { requestFloor } from '@/app/request-floor'
import { Labels } from '@/features/stock/labels'
import { database } from '@/server/db/connection'
import { loadShelf } from '@/server/stock/shelf'

export const metadata: Metadata = { title: 'Labels' }

export default async function LabelsPage() {
  const floor = await requestFloor()
  return <Labels shelf={await loadShelf(await database(), floor)} region={floor.shop.setup.region} />
}
