import type { Metadata } from 'next'
import { RegionScreen } from '@/features/shop/region-screen'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadShop, shopVersion } from '@/server/shop/shop-store'

export const metadata: Metadata = { title: 'Name and region' }

export default async function RegionPage() {
  const db = await database()
  const version = await shopVersion(db)
  const { name, address, region } = (await loadShop(db)).setup
  return <RegionScreen identity={{ name, address, region }} version={version} now={now()} />
}
