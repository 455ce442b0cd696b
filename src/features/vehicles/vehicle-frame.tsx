import type { KnownVehicle } from '@/core/job'
import type { Region } from '@/core/region'
import { SHAPE_NAME } from '@/core/vehicle'
import { spelt } from '@/text/en/spelling'
import { PAINT_SYSTEM_GUIDE, STORAGE_NAME, WASHING_NAME } from '@/text/en/vehicle'
import { measured } from '@/text/formats'
import { ButtonLink } from '@/ui/button'
import { Link } from '@/ui/link'
import { SideView } from '@/ui/side-view'
import { Reach } from '../people/reach'
import { SizeForm } from './size-form'
import { VehicleRooms } from './vehicle-rooms'

/** Which vehicle this is and how it lives, above all that is known of it. */
export function VehicleHeader({
  known: { customer, vehicle },
  region,
  reachable,
  atDesk,
  mayAudit,
}: {
  known: KnownVehicle
  region: Region
  /** Whether whoever looks may know how its owner is reached. */
  reachable: boolean
  /** Whether they may check it in. */
  atDesk: boolean
  /** Whether they may read the journal. */
  mayAudit: boolean
}) {
  const facts = [
    PAINT_SYSTEM_GUIDE[vehicle.paintSystem].name.toLowerCase(),
    vehicle.lengthM === undefined ? '' : `${measured(region, 'length', vehicle.lengthM, 1)} long`,
    vehicle.heightM === undefined ? '' : `${measured(region, 'length', vehicle.heightM, 1)} high`,
    vehicle.storage === 'unknown' ? '' : `sleeps: ${STORAGE_NAME[vehicle.storage].toLowerCase()}`,
    vehicle.washing === 'unknown' ? '' : `washed: ${WASHING_NAME[vehicle.washing].toLowerCase()}`,
    vehicle.yearlyKm === undefined ? '' : `${measured(region, 'distance', vehicle.yearlyKm)} a year`,
    vehicle.salted ? 'salted roads' : '',
    vehicle.hardWater ? 'hard water' : '',
  ].filter(Boolean)
  return (
    <header className="no-print border-b border-line bg-lichen/50 px-5 pt-3">
      <div className="flex items-center gap-5 max-sm:flex-wrap">
        <SideView shape={vehicle.shape} className="h-14 shrink-0" />
        <div className="grow">
          <h1 className="text-2xl">{vehicle.plate}</h1>
          <p>
            {vehicle.make} {vehicle.model}
            {vehicle.year ? ` ${vehicle.year}` : ''}, {vehicle.colour.toLowerCase()}
            {vehicle.colourCode && ` (${vehicle.colourCode})`},{' '}
            {spelt(region, SHAPE_NAME[vehicle.shape]).toLowerCase()} · {customer.name}
            {reachable && (
              <>
                {' '}
                · <Reach vehicleId={vehicle.id} />
              </>
            )}
          </p>
          <p className="text-sm text-ink-soft">
            {facts.join(' · ')}
            {vehicle.vin && ` · ${vehicle.vin}`}
          </p>
          {atDesk && <SizeForm vehicle={vehicle} />}
        </div>
        {mayAudit && (
          <Link
            href={`/shop/journal?plate=${encodeURIComponent(vehicle.plate)}`}
            className="inline-flex min-h-11 shrink-0 items-center px-2 text-sm underline underline-offset-4"
          >
            Who changed what
          </Link>
        )}
        {atDesk && (
          <ButtonLink look="outline" href={`/intake?vehicle=${vehicle.id}`} className="shrink-0">
            Check in again
          </ButtonLink>
        )}
      </div>
      {atDesk && <VehicleRooms vehicleId={vehicle.id} />}
    </header>
  )
}
