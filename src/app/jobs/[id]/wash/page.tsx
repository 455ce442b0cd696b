import { notFound } from 'next/navigation'
import { placesOf } from '@/core/vehicle'
import { SimulatedClimateSensor } from '@/devices/climate-sensor'
import { WashScreen } from '@/features/wash/wash-screen'
import { database } from '@/server/db'
import { requestJob } from '@/server/request-floor'
import { loadSurvey } from '@/server/survey-store'
import { loadWash } from '@/server/wash-store'

export default async function WashPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  const db = await database()
  const { vehicle } = entry.job
  const survey = await loadSurvey(db, id)
  const bay = floor.shop.setup.places.find(({ kinds }) => kinds.includes('wash'))
  const { airC } = new SimulatedClimateSensor().read(bay?.id ?? 'wash', floor.now)
  return (
    <WashScreen
      jobId={id}
      title={`${vehicle.plate}, ${vehicle.make} ${vehicle.model}`}
      wash={floor.shop.setup.wash}
      stored={await loadWash(db, id)}
      softTop={placesOf(vehicle.shape).some(({ surface }) => surface === 'fabric')}
      bakedWheels={Object.values(survey.places).some((defects) =>
        defects.some(({ kind }) => kind === 'baked-dust'),
      )}
      airC={Math.round(airC)}
    />
  )
}
