import type { Metadata } from 'next'
import { askedOnce, type Search } from '@/app/asked'
import { PERIODS } from '@/core/learning'
import { HeldTable } from '@/features/learning/held-table'
import { LearningScreen } from '@/features/learning/learning-screen'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadHeld } from '@/server/learning/held'
import { loadLearned } from '@/server/learning/learning'
import { listPaceChanges } from '@/server/learning/lesson-store'
import { loadShop, shopVersion } from '@/server/shop/shop-store'

export const metadata: Metadata = { title: 'Learning' }

export default async function LearningPage({ searchParams }: { searchParams: Search }) {
  const { months } = await askedOnce<'months'>(searchParams)
  const period = PERIODS.find((each) => String(each) === months) ?? 12
  const db = await database()
  const version = await shopVersion(db)
  const shop = await loadShop(db)
  return (
    <LearningScreen
      held={
        <HeldTable
          held={await loadHeld(db, shop, now())}
          catalogue={shop.catalogue}
          supplies={shop.setup.supplies}
          version={version}
          region={shop.setup.region}
        />
      }
      learned={await loadLearned(db, shop, now(), period)}
      period={period}
      changes={await listPaceChanges(db)}
      costs={shop.setup.costs}
      region={shop.setup.region}
      version={version}
    />
  )
}
