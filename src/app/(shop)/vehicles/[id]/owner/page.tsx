import { notFound } from 'next/navigation'
import { requestRevision, requestVehicle } from '@/app/request-floor'
import { toVehicleId } from '@/core/ids'
import { dayIn } from '@/core/time'
import { Live } from '@/features/frame/live'
import { OwnerScreen } from '@/features/vehicles/owner-screen'
import { failing, loadProtection } from '@/server/aftercare/protection'
import { bookedRepair } from '@/server/aftercare/short-jobs'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { listOwnerLinks } from '@/server/links/owner-links'
import { loadTemplates, messagesOfVehicle } from '@/server/messages/message-store'
import { loadShop } from '@/server/shop/shop-store'

export default async function OwnerRoom({ params }: { params: Promise<{ id: string }> }) {
  const since = await requestRevision()
  const known = await requestVehicle(toVehicleId((await params).id))
  if (!known) notFound()
  const db = await database()
  const shop = await loadShop(db)
  const at = now()
  const { customer, vehicle } = known
  const protection = await loadProtection(db, shop, vehicle, at)
  const templateOf = await loadTemplates(db)
  const repair = await bookedRepair(db, vehicle.id)
  return (
    <>
      <Live since={since} />
      <OwnerScreen
        customer={customer}
        vehicleId={vehicle.id}
        car={`${vehicle.make} ${vehicle.model}`}
        failed={failing(protection).flatMap(({ unit, alone }) => (alone ? [unit.name.toLowerCase()] : []))}
        templates={{
          words: templateOf('words', customer.language),
          'panel-failed': templateOf('panel-failed', customer.language),
        }}
        messages={await messagesOfVehicle(db, vehicle.id)}
        {...(repair
          ? {
              repair: {
                day: dayIn(shop.setup.region.timezone, repair.arriveAt),
                onGuarantee: repair.onGuarantee,
              },
            }
          : {})}
        links={await listOwnerLinks(db, vehicle.id)}
        region={shop.setup.region}
        now={at}
      />
    </>
  )
}
