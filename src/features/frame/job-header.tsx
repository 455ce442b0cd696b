import type { StepState, WayStep } from '@/core/job'
import type { FloorJob } from '@/core/planning'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { Frond } from '@/ui/frond'
import { SideView } from '@/ui/side-view'
import { leafletsOf } from '../leaflets'
import { Reach } from '../people/reach'
import { JobRooms } from './job-rooms'

const KIND_NAME = { work: 'job', visit: 'visit', repair: 'repair' } as const

type Props = {
  entry: FloorJob
  way: Readonly<Record<WayStep, StepState>> | undefined
  region: Region
  now: Instant
  /** Whether whoever looks may know how the owner is reached. */
  reachable: boolean
}

/** Which car this is, how far it has come, and the way through its job. */
export function JobHeader({ entry, way, region, now, reachable }: Props) {
  const { job, live } = entry
  const { vehicle } = job
  return (
    <div className="no-print flex flex-wrap items-center gap-x-5 border-b border-line bg-lichen/50 px-5 pt-2">
      <SideView shape={vehicle.shape} className="h-11" />
      <div className="pb-2">
        <p className="font-head text-xl leading-tight font-bold">{vehicle.plate}</p>
        <p className="text-sm text-ink-soft">
          {vehicle.make} {vehicle.model}
          {vehicle.year ? ` ${vehicle.year}` : ''}, {vehicle.colour.toLowerCase()} · {job.customer.name} ·{' '}
          {KIND_NAME[job.kind]} {job.number}
          {reachable && (
            <>
              {' '}
              · <Reach vehicleId={vehicle.id} />
            </>
          )}
        </p>
      </div>
      {live && <Frond leaflets={leafletsOf(live, region, now)} height={52} className="max-sm:hidden" />}
      <div className="ml-auto self-end">
        <JobRooms jobId={job.id} kind={job.kind} {...(way ? { way } : {})} />
      </div>
    </div>
  )
}
