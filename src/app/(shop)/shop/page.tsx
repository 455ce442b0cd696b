import type { Metadata } from 'next'
import { ShopScreen } from '@/features/shop/shop-screen'
import { database } from '@/server/db/connection'
import { loadShop, shopVersion } from '@/server/shop/shop-store'

export const metadata: Metadata = { title: 'Shop' }

export default async function ShopPage() {
  const db = await database()
  const version = await shopVersion(db)
  const { setup } = await loadShop(db)
  return (
    <ShopScreen
      school={setup.school}
      polishing={setup.polishing}
      sharing={setup.sharing}
      unagreed={setup.unagreed}
      sure={setup.sure}
      inspector={setup.inspector}
      people={setup.people.map(({ id, name }) => ({ id, name }))}
      wash={setup.wash}
      version={version}
    />
  )
}
