'use client'

import clsx from 'clsx'
import { usePathname } from 'next/navigation'
import type { VehicleId } from '@/core/ids'
import { useMayOpen } from '@/ui/me'
import { PatientLink } from '@/ui/patient-link'

const ROOMS = [
  { room: '', label: 'Care' },
  { room: '/history', label: 'History' },
  { room: '/paint', label: 'Paint' },
  { room: '/owner', label: 'Owner' },
] as const

/** The rooms of a vehicle: how it is looked after, what happened, its paint, whose it is. */
export function VehicleRooms({ vehicleId }: { vehicleId: VehicleId }) {
  const path = usePathname()
  const mayOpen = useMayOpen()
  const rooms = ROOMS.filter(({ room }) => mayOpen(`/vehicles/${vehicleId}${room}`))
  return (
    <nav aria-label="This vehicle" className="mt-1 flex flex-wrap">
      {rooms.map(({ room, label }) => {
        const href = `/vehicles/${vehicleId}${room}`
        const here = path === href
        return (
          <PatientLink
            key={room}
            href={href}
            aria-current={here ? 'page' : undefined}
            className={clsx(
              'flex min-h-11 items-center border-b-[3px] px-3 font-head font-semibold no-underline',
              here ? 'border-fern' : 'border-transparent text-ink-soft hover:text-ink',
            )}
          >
            {label}
          </PatientLink>
        )
      })}
    </nav>
  )
}
