import { notFound } from 'next/navigation'
import { requestJob } from '@/app/request-floor'
import { believed } from '@/core/climate'
import { toJobId } from '@/core/ids'
import { WashScreen } from '@/features/wash/wash-screen'
import { database } from '@/server/db/connection'
import { bayAir } from '@/server/shop/air'
import { washedCar } from '@/server/survey/wash-plan'
import { loadWash } from '@/server/survey/wash-store'

/** What is typed in where no sensor says anything: air in which either wash is possible, °C (mem). */
const MILD_C = 12

export default async function WashPage({ params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  const db = await database()
  const { vehicle } = entry.job
  const bay = floor.shop.setup.places.find(({ kinds }) => kinds.includes('wash'))
  const air = bay && believed((await bayAir(db, floor.shop.setup, [bay.id], floor.now)).get(bay.id))
  return (
    <WashScreen
      jobId={id}
      title={`${vehicle.plate}, ${vehicle.make} ${vehicle.model}`}
      wash={floor.shop.setup.wash}
      stored={await loadWash(db, id)}
      supplies={floor.shop.setup.supplies}
      car={await washedCar(db, entry.job, floor.shop)}
      airC={Math.round(air?.airC ?? MILD_C)}
    />
  )
}
