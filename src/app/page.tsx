import { SimulatedClimateSensor } from '@/devices/climate-sensor'
import { YardScreen } from '@/features/yard/yard-screen'
import { yardView } from '@/features/yard/yard-view'
import { requestFloor } from '@/server/request-floor'
import { everyone } from '@/server/shop-store'

export default async function YardPage() {
  const floor = await requestFloor()
  const { setup, catalogue } = floor.shop
  const sensor = new SimulatedClimateSensor()
  const yard = yardView(
    floor,
    (place) => sensor.read(place, floor.now),
    (car) => {
      const next = car?.entry.live?.plan.operations.find(
        ({ id, productId }) => productId && car.entry.live!.progress[id]?.kind !== 'done',
      )
      return catalogue.find(({ id }) => id === next?.productId) ?? catalogue[0]!
    },
  )
  const names = new Map(everyone(setup).map(({ id, name }) => [id, name]))
  return (
    <YardScreen
      yard={yard}
      context={{ zone: setup.timezone, now: floor.now, nameOf: (person) => names.get(person) ?? person }}
    />
  )
}
