import { notFound } from 'next/navigation'
import { askedOnce, type Search } from '@/app/asked'
import { RecordChanges } from '@/app/record-changes'
import { requestJob } from '@/app/request-floor'
import { believed } from '@/core/climate'
import { toJobId } from '@/core/ids'
import { comparedKeys } from '@/features/plan/compared'
import { PlanScreen } from '@/features/plan/plan-screen'
import { compute } from '@/server/compute/compute'
import { database } from '@/server/db/connection'
import { loadHeld } from '@/server/learning/held'
import { loadWorked, offersFor } from '@/server/quotes/offers'
import { listQuotes } from '@/server/quotes/quote-store'
import { bayAir } from '@/server/shop/air'

type Props = {
  params: Promise<{ id: string }>
  searchParams: Search
}

export default async function PlanPage({ params, searchParams }: Props) {
  const id = toJobId((await params).id)
  const { compare } = await askedOnce<'compare'>(searchParams)
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  const db = await database()
  const { setup } = floor.shop
  const { input, study } = await loadWorked(db, floor.shop, entry.job)
  const studio = setup.places.find(({ kinds }) => kinds.includes('studio'))
  const climate =
    studio && believed((await bayAir(db, floor.shop.setup, [studio.id], floor.now)).get(studio.id))
  const here = climate ? { ...input, climate } : input
  const keys = comparedKeys(setup.packages, compare, entry.job, here)
  const templates = setup.packages.filter(({ key }) => keys.includes(key))
  const offers =
    entry.agreement || !entry.surveyed
      ? []
      : await offersFor(here, templates, (plans) => compute('fits', floor.now, entry.job, plans))
  return (
    <>
      <PlanScreen
        entry={entry}
        offers={offers}
        input={here}
        study={study}
        held={entry.agreement ? [] : await loadHeld(db, floor.shop, floor.now)}
        quotes={await listQuotes(db, id)}
        setup={setup}
        now={floor.now}
      />
      <RecordChanges
        width="full"
        of={['jobs', 'panel_consents', 'promises'].map((of) => ({ of, key: id }))}
      />
    </>
  )
}
