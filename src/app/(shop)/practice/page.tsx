import type { Metadata } from 'next'
import { askedOnce, type Search } from '@/app/asked'
import { PRACTICE_PANELS, practicePanel } from '@/core/practice'
import { PracticeScreen } from '@/features/practice/practice-screen'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'

export const metadata: Metadata = { title: 'Practice' }

export default async function PracticePage({ searchParams }: { searchParams: Search }) {
  const asked = Number((await askedOnce<'panel'>(searchParams)).panel)
  const seed = Number.isInteger(asked) && asked >= 1 && asked <= PRACTICE_PANELS ? asked : 1
  const { setup } = await loadShop(await database())
  const { readingsUm, levelUm } = practicePanel(seed)
  return (
    <PracticeScreen
      key={seed}
      seed={seed}
      readingsUm={readingsUm}
      levelUm={levelUm}
      people={setup.people.map(({ id, name }) => ({ id, name }))}
    />
  )
}
