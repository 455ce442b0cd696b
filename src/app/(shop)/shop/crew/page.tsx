import type { Metadata } from 'next'
import { typedCrew } from '@/core/planning'
import { dayIn } from '@/core/time'
import { CrewScreen } from '@/features/shop/crew-screen'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { countries } from '@/server/shop/holidays'
import { loadShop, shopVersion } from '@/server/shop/shop-store'

export const metadata: Metadata = { title: 'People, bays and hours' }

export default async function CrewPage() {
  const db = await database()
  const version = await shopVersion(db)
  const { setup } = await loadShop(db)
  return (
    <CrewScreen
      crew={typedCrew(setup)}
      countries={countries()}
      version={version}
      today={dayIn(setup.region.timezone, now())}
    />
  )
}
