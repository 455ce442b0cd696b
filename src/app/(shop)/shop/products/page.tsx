import type { Metadata } from 'next'
import { RecordChanges } from '@/app/record-changes'
import { ProductsScreen } from '@/features/shop/products-screen'
import { database } from '@/server/db/connection'
import { loadShop, shopVersion } from '@/server/shop/shop-store'

export const metadata: Metadata = { title: 'Products' }

export default async function ProductsPage() {
  const db = await database()
  const version = await shopVersion(db)
  const { setup, catalogue } = await loadShop(db)
  return (
    <>
      <ProductsScreen catalogue={catalogue} supplies={setup.supplies} version={version} />
      <RecordChanges width="wide" of={[{ of: 'shop', parts: ['catalogue', 'supplies', 'earlierSheets'] }]} />
    </>
  )
}
