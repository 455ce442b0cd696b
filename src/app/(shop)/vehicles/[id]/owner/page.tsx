import { notFound } from 'next/navigation'
import { RecordChanges } from '@/app/record-changes'
import { requestRevision, requestVehicle } from '@/app/request-floor'
import { toVehicleId } from '@/core/ids'
import { mayDo } from '@/core/staff'
import { dayIn } from '@/core/time'
import { Live } from '@/features/frame/live'
import { PersonalData } from '@/features/people/personal-data'
import { OwnerScreen } from '@/features/vehicles/owner-screen'
import { failing, loadProtection } from '@/server/aftercare/protection'
import { bookedRepair } from '@/server/aftercare/short-jobs'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { listOwnerLinks } from '@/server/links/owner-links'
import { loadTemplates, messagesOfVehicle } from '@/server/messages/message-store'
import { consentsOf } from '@/server/people/consents'
import { noteLook } from '@/server/people/looked'
import { platedPhotos } from '@/server/people/plates'
import { loadShop } from '@/server/shop/shop-store'
import { whoIsHere } from '@/server/staff/who-is-here'
import { consentText } from '@/text/en/people'
import { platedName } from '@/text/en/plated'
import { shortDay } from '@/text/formats'

export default async function OwnerRoom({ params }: { params: Promise<{ id: string }> }) {
  const since = await requestRevision()
  const known = await requestVehicle(toVehicleId((await params).id))
  if (!known) notFound()
  const db = await database()
  const shop = await loadShop(db)
  const at = now()
  const { customer, vehicle } = known
  const { region } = shop.setup
  const protection = await loadProtection(db, shop, vehicle, at)
  const templateOf = await loadTemplates(db)
  const consents = await consentsOf(db, customer.id)
  const { role } = await whoIsHere()
  await noteLook(customer.id)
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
                day: dayIn(region.timezone, repair.arriveAt),
                onGuarantee: repair.onGuarantee,
              },
            }
          : {})}
        links={await listOwnerLinks(db, vehicle.id)}
        consents={consents.map(
          (said) => `${shortDay(region, dayIn(region.timezone, said.at))}: ${consentText(said)}`,
        )}
        personal={
          mayDo(role, 'manage') && (
            <PersonalData
              customer={customer}
              pictures={(await platedPhotos(db, customer.id)).map((photo) => ({
                ...photo,
                name: platedName(region, photo),
              }))}
            />
          )
        }
        region={region}
        now={at}
      />
      <RecordChanges width="wide" of={[{ of: 'customers', key: customer.id }]} />
    </>
  )
}
