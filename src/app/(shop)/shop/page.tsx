import type { Metadata } from 'next'
import { RecordChanges } from '@/app/record-changes'
import { ShopRooms } from '@/features/shop/shop-rooms'
import { ShopScreen } from '@/features/shop/shop-screen'
import { database } from '@/server/db/connection'
import { loadShop, shopVersion } from '@/server/shop/shop-store'
import { whoIsHere } from '@/server/staff/who-is-here'

export const metadata: Metadata = { title: 'Shop' }

export default async function ShopPage() {
  const db = await database()
  const version = await shopVersion(db)
  const { setup } = await loadShop(db)
  const { role } = await whoIsHere()
  return (
    <>
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
        rooms={<ShopRooms role={role} />}
      />
      <RecordChanges
        width="narrow"
        of={[
          { of: 'shop', parts: ['school', 'polishing', 'sharing', 'unagreed', 'sure', 'inspector', 'wash'] },
        ]}
      />
    </>
  )
}
