import { notFound } from 'next/navigation'
import { SimulatedClimateSensor } from '@/devices/climate-sensor'
import { cardSteps, layerConditions } from '@/features/work/card'
import { WorkScreen } from '@/features/work/work-screen'
import { database } from '@/server/db'
import { requestJob } from '@/server/request-floor'
import { loadLayers } from '@/server/work-store'

export default async function WorkPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  const { setup, catalogue } = floor.shop
  const steps = entry.live ? cardSteps(entry.live, await loadLayers(await database(), id), floor.now) : []
  const sensor = new SimulatedClimateSensor()
  const conditions = Object.fromEntries(
    steps.flatMap(({ operation, planned }) => {
      const product = catalogue.find((candidate) => candidate.id === operation.productId)
      if (operation.kind !== 'layer' || !product) return []
      const bay = planned?.place ?? setup.places[0]!.id
      return [[operation.id, layerConditions(product, sensor.read(bay, floor.now))]]
    }),
  )
  return <WorkScreen entry={entry} steps={steps} conditions={conditions} setup={setup} now={floor.now} />
}
