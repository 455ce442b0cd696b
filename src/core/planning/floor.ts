import { toBayId } from '../ids'
import { hasBegun, type Job, type LiveJob, type Stage } from '../job'
import type { Agreement } from '../offer'
import { OFFSITE } from '../offer/in-order'
import { everyone, type Setup, type Shop } from '../shop'
import type { Instant } from '../time'
import { sizeOf } from '../vehicle'
import { countedEquipment } from './equipment'
import { type Hold, heldJob } from './hold'
import { type Outage, shopWithout } from './outage'
import type { Planning } from './planning'
import { withAir } from './shared-air'
import type { ShopCalendar } from './shop-problem'

/** A job as it stands on the shop floor at one moment. */
export type FloorJob = { job: Job; agreement?: Agreement; live?: LiveJob; stage: Stage; surveyed: boolean }

/** Everything the shop has in hand, read at one moment. */
export type Floor = {
  now: Instant
  shop: Shop
  outages: Outage[]
  jobs: FloorJob[]
  /** Slots held for callers. */
  holds: readonly Hold[]
  planning?: Planning
}

/** Where everything stands that is at somebody else’s place: there is room for all of it, and it costs no bay. */
export const AWAY = toBayId('away')

const ALWAYS = 'always-open'
const away: ShopCalendar['places'][number] = {
  id: AWAY,
  kinds: [OFFSITE],
  capacity: 999,
  calendar: ALWAYS,
}

export function shopCalendar(setup: Setup): ShopCalendar {
  const {
    region,
    slotMinutes,
    horizonDays,
    objective,
    calendars,
    places,
    equipment,
    sharing,
    spreads,
    sure,
  } = setup
  return {
    timezone: region.timezone,
    slotMinutes,
    horizonDays,
    objective,
    calendars: { ...calendars, [ALWAYS]: { always: true } },
    places: [...places.map(withAir), away],
    offsiteCost: 0,
    equipment: countedEquipment(equipment, ALWAYS),
    sharing,
    spreads,
    sure,
    people: everyone(setup),
  }
}

export function liveJob(
  job: Job,
  agreement: Agreement,
  progress: LiveJob['progress'],
  published: LiveJob['published'],
  {
    pinned,
    awaited,
  }: { pinned?: LiveJob['pinned'] | undefined; awaited?: LiveJob['awaited'] | undefined } = {},
): LiveJob {
  return {
    id: job.id,
    arrive: job.arriveAt,
    due: agreement.promisedFor,
    weight: 1,
    plan: agreement.plan,
    size: sizeOf(job.vehicle),
    progress,
    published,
    ...(pinned ? { pinned } : {}),
    ...(awaited ? { awaited } : {}),
  }
}

/** The shop as the scheduler sees it now: without who is away and what is out of use. */
export function calendarNow({ shop, outages }: Pick<Floor, 'shop' | 'outages'>): ShopCalendar {
  return shopWithout(shopCalendar(shop.setup), outages)
}

/** The jobs that still need room on the calendar, and the slots that are held. */
export function openJobs({ jobs, holds }: Pick<Floor, 'jobs' | 'holds'>): LiveJob[] {
  const inHand = jobs.flatMap(({ job, live, stage }) => {
    if (!live || stage.kind === 'ready' || stage.kind === 'handed-over') return []
    // Work that is begun on a car that was put off shows that it has come.
    return job.putOffAt && !hasBegun(live) ? [] : [live]
  })
  return [...inHand, ...holds.map(heldJob)]
}

/** What each car on the calendar is called: by its plate, or by who a slot is held for. */
export const calledOn = ({ jobs, holds }: Pick<Floor, 'jobs' | 'holds'>): ReadonlyMap<string, string> =>
  new Map([
    ...jobs.map(({ job }) => [job.id, job.vehicle.plate] as const),
    ...holds.map(({ id, name }) => [id, name] as const),
  ])
