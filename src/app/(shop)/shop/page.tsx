import type { Metadata } from 'next'
import { ShopScreen } from '@/features/shop/shop-screen'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'

export const metadata: Metadata = { title: 'Shop' }

export default async function ShopPage() {
  const { setup } = await loadShop(await database())
  return <ShopScreen school={setup.school} wash={setup.wash} />
}
