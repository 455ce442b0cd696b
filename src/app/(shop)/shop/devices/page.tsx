import type { Metadata } from 'next'
import { DevicesScreen } from '@/features/shop/devices-screen'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { bayAir } from '@/server/shop/air'
import { loadShop, shopVersion } from '@/server/shop/shop-store'
import { listSpells } from '@/server/shop/spell-store'

export const metadata: Metadata = { title: 'Sensors' }

export default async function DevicesPage() {
  const db = await database()
  const version = await shopVersion(db)
  const { setup } = await loadShop(db)
  const at = now()
  const air = await bayAir(
    db,
    setup,
    setup.places.map(({ id }) => id),
    at,
  )
  return (
    <DevicesScreen
      bays={setup.places.map(({ id, name }) => ({ id, name, air: air.get(id)! }))}
      spells={await listSpells(db, at)}
      region={setup.region}
      now={at}
      devices={setup.devices}
      version={version}
    />
  )
}
