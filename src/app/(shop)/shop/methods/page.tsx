import type { Metadata } from 'next'
import { RecordChanges } from '@/app/record-changes'
import { MethodsScreen } from '@/features/shop/methods-screen'
import { database } from '@/server/db/connection'
import { loadShop, shopVersion } from '@/server/shop/shop-store'

export const metadata: Metadata = { title: 'Methods' }

export default async function MethodsPage() {
  const db = await database()
  const version = await shopVersion(db)
  const { setup } = await loadShop(db)
  return (
    <>
      <MethodsScreen methods={setup.methods} version={version} />
      <RecordChanges width="wide" of={[{ of: 'shop', parts: ['methods'] }]} />
    </>
  )
}
