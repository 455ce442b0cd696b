import type { Metadata } from 'next'
import { WhatIfScreen } from '@/features/what-if/what-if-screen'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'
import { listTrials } from '@/server/what-if/trial-store'

export const metadata: Metadata = { title: 'What would it buy?' }

export default async function WhatIfPage() {
  const db = await database()
  const { setup } = await loadShop(db)
  return <WhatIfScreen setup={setup} trials={await listTrials(db)} now={now()} />
}
