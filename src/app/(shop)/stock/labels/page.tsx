import type { Metadata } from 'next'
import { Labels } from '@/features/stock/labels'
import { database } from '@/server/db'
import { requestFloor } from '@/server/request-floor'
import { loadShelf } from '@/server/shelf'

export const metadata: Metadata = { title: 'Labels' }

export default async function LabelsPage() {
  return <Labels shelf={await loadShelf(await database(), await requestFloor())} />
}
