import type { Metadata } from 'next'
import { RecordChanges } from '@/app/record-changes'
import { PackagesScreen } from '@/features/shop/packages-screen'
import { database } from '@/server/db/connection'
import { loadShop, shopVersion } from '@/server/shop/shop-store'

export const metadata: Metadata = { title: 'Packages' }

export default async function PackagesPage() {
  const db = await database()
  const version = await shopVersion(db)
  const { setup, catalogue } = await loadShop(db)
  return (
    <>
      <PackagesScreen
        packages={setup.packages}
        catalogue={catalogue}
        vendors={setup.vendors}
        methods={setup.methods}
        version={version}
        region={setup.region}
      />
      <RecordChanges width="wide" of={[{ of: 'shop', parts: ['packages'] }]} />
    </>
  )
}
