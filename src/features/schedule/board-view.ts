import { type BayId, type PersonId, toBayId } from '@/core/ids'
import type { JobPlan } from '@/core/offer'
import { AWAY, type Floor, type Outage } from '@/core/planning'
import { everyone } from '@/core/shop'
import { atLocal, type Instant, type LocalDay, laterOf, plusMinutes } from '@/core/time'
import { type Block, hoursOf, type StayBlock, staysOf } from './blocks'
import { type Timeline, within } from './timeline'

/** All that the drawn calendar needs, as plain data: rows, what lies on them, and the steps behind it. */

const PLACE_ROW = 74
const PERSON_ROW = 44
const AWAY_ROW = 52

export type BoardRow = ({ kind: 'place'; id: BayId } | { kind: 'person'; id: PersonId }) & {
  name: string
  /** A bay in which cars are coated. */
  coats: boolean
  y: number
  height: number
}

export type BoardJob = Pick<JobPlan, 'operations' | 'stays'> & { id: string; plate: string }

export type BoardView = {
  now: Instant
  timeline: Timeline
  rows: BoardRow[]
  height: number
  stays: StayBlock[]
  blocks: Block[]
  outages: Outage[]
  jobs: BoardJob[]
  /** Cars that are here but in no bay, at noon of each day. */
  waiting: { day: LocalDay; plates: string[] }[]
  /** Another word once anything on the floor has changed. */
  basis: string
}

/** `basis` is another word once anything on the floor has changed. */
export function boardView(floor: Floor, timeline: Timeline, basis: string): BoardView {
  const { setup } = floor.shop
  const all = staysOf(floor, hoursOf(floor))
  const stays = awayInLanes(all.filter(({ start, end }) => within(timeline, start, end)))
  const lanes = [...new Set(stays.flatMap(({ place }) => (isAwayLane(place) ? [place] : [])))].sort()
  const blocks = stays.flatMap((stay) => stay.blocks).filter(({ start, end }) => within(timeline, start, end))
  // Somebody from outside has a row only while they are expected.
  const crew = everyone(setup).filter(
    ({ id }) =>
      setup.people.some((person) => person.id === id) || blocks.some(({ people }) => people.includes(id)),
  )
  const baysHeight = setup.places.length * PLACE_ROW
  const placesHeight = baysHeight + lanes.length * AWAY_ROW
  const rows: BoardRow[] = [
    ...setup.places.map(
      ({ id, name, kinds }, index): BoardRow => ({
        kind: 'place',
        id,
        name,
        coats: kinds.includes('studio'),
        y: index * PLACE_ROW,
        height: PLACE_ROW,
      }),
    ),
    ...lanes.map(
      (id, index): BoardRow => ({
        kind: 'place',
        id: toBayId(id),
        name: index === 0 ? 'Away' : '',
        coats: false,
        y: baysHeight + index * AWAY_ROW,
        height: AWAY_ROW,
      }),
    ),
    ...crew.map(
      ({ id, name }, index): BoardRow => ({
        kind: 'person',
        id,
        name,
        coats: false,
        y: placesHeight + index * PERSON_ROW,
        height: PERSON_ROW,
      }),
    ),
  ]
  return {
    now: floor.now,
    timeline,
    rows,
    height: placesHeight + crew.length * PERSON_ROW,
    stays,
    blocks,
    outages: floor.outages,
    jobs: [
      ...floor.jobs.flatMap(({ job, live }) =>
        live
          ? [
              {
                id: job.id,
                plate: job.vehicle.plate,
                operations: live.plan.operations,
                stays: live.plan.stays,
              },
            ]
          : [],
      ),
      ...floor.holds.map(({ id, name, plan: { operations, stays: own } }) => ({
        id,
        plate: name,
        operations,
        stays: own,
      })),
    ],
    waiting: timeline.days.map((day) => ({ day, plates: waitingAt(floor, all, noonOf(timeline, day)) })),
    basis,
  }
}

const isAwayLane = (place: string) => place === AWAY || place.startsWith(`${AWAY}~`)

/** What is away at one time lies in rows below one another: nobody else’s place has only room for one. */
function awayInLanes(stays: readonly StayBlock[]): StayBlock[] {
  const until: Instant[] = []
  return stays
    .toSorted((a, b) => a.start.localeCompare(b.start))
    .map((stay) => {
      if (stay.place !== AWAY) return stay
      const free = until.findIndex((end) => end <= stay.start)
      const lane = free < 0 ? until.length : free
      until[lane] = stay.end
      const place = lane === 0 ? AWAY : `${AWAY}~${lane + 1}`
      return { ...stay, place, blocks: stay.blocks.map((block) => ({ ...block, place })) }
    })
}

const noonOf = ({ region }: Timeline, day: LocalDay) => atLocal(region.timezone, day, '12:00')

/**
 * Cars that are here, or are to be, and stand in no bay at a moment. Of those with nothing agreed nobody knows how long
 * they stay: they count till today, or till the day they come.
 */
function waitingAt(floor: Floor, stays: readonly StayBlock[], at: Instant): string[] {
  return floor.jobs.flatMap(({ job, agreement }) => {
    const { arriveAt, handedOverAt, vehicle } = job
    const known = plusMinutes(laterOf(arriveAt, floor.now), 1440)
    const promised = agreement ? laterOf(agreement.promisedFor, floor.now) : known
    const inBay = stays.some((stay) => stay.jobId === job.id && stay.start <= at && at < stay.end)
    return arriveAt <= at && at < (handedOverAt ?? promised) && !inBay ? [vehicle.plate] : []
  })
}
