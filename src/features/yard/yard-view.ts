import { type BayClimate, dewVerdict } from '@/core/climate'
import { type ConditionBreach, conditionBreaches, type LayerWindow, type Product } from '@/core/coating'
import type { BayId, JobId, OperationId, PersonId } from '@/core/ids'
import { type LiveJob, progressAt } from '@/core/job'
import type { PlannedOperation } from '@/core/offer'
import { AWAY, type Floor, type FloorJob, openedWindow } from '@/core/planning'
import type { Region } from '@/core/region'
import { type Instant, plusMinutes } from '@/core/time'
import { stepTitle } from '@/text/en/step-names'
import { type JobRoom, roomFor } from '../frame/rooms'

/** What the yard shows, worked out from the floor at one moment. No sentences yet: those are made on the screen. */

/** What a vehicle waits for: one thing, and until when. */
export type WaitsFor =
  | { kind: 'reading' }
  | { kind: 'choice' }
  | { kind: 'look' }
  | { kind: 'arrival'; at: Instant }
  /** It did not come, and nobody knows when it will. */
  | { kind: 'put-off'; since: Instant }
  | { kind: 'work'; operation: PlannedOperation; by: PersonId[]; until: Instant; overdue: boolean }
  | { kind: 'hold'; operation: PlannedOperation; until: Instant }
  | {
      kind: 'next'
      operation: PlannedOperation
      by: PersonId[]
      from?: Instant
      overdue: boolean
      window?: LayerWindow
    }
  | { kind: 'collection'; at: Instant }

export type YardCar = { entry: FloorJob; waits: WaitsFor; place?: string }
export type YardPlace = {
  id: string
  name: string
  kinds: string[]
  car?: YardCar
  /** Absent where the sensor says nothing, or nothing that can be. */
  climate?: BayClimate
  dewMarginC?: number
  breaches: ConditionBreach[]
}
export type Yard = {
  places: YardPlace[]
  outside: YardCar[]
  expected: YardCar[]
  /** Handed over, the latest first. */
  inCare: FloorJob[]
  next: NextThing[]
}

/** A thing that is about to happen, for “what now?”. */
export type NextThing = {
  at: Instant
  kind: 'begin' | 'window-closes' | 'hold-ends' | 'collect' | 'arrive'
  jobId: JobId
  /** Where it is done. */
  room: JobRoom
  plate: string
  what: string
  by: PersonId[]
  late: boolean
}

const IN_CARE_SHOWN = 5

const placedOf = (live: LiveJob, operation: OperationId) =>
  live.published.find((placed) => placed.operation === operation)

function nextOf(live: LiveJob, operation: PlannedOperation, now: Instant): WaitsFor {
  const placed = placedOf(live, operation.id)
  const window = openedWindow(live, operation, now)
  return {
    kind: 'next',
    operation,
    by: placed?.people ?? [],
    ...(placed ? { from: placed.start } : {}),
    overdue: placed !== undefined && placed.start < now,
    ...(window ? { window } : {}),
  }
}

export function waitsFor(entry: FloorJob, now: Instant): WaitsFor {
  const { stage, live, job, agreement } = entry
  switch (stage.kind) {
    case 'to-measure':
      return job.arriveAt > now ? { kind: 'arrival', at: job.arriveAt } : { kind: 'reading' }
    case 'to-choose':
      return { kind: 'choice' }
    case 'to-look':
      return { kind: 'look' }
    case 'planned': {
      if (job.putOffAt) return { kind: 'put-off', since: job.putOffAt }
      const first = placedOf(live!, stage.next.id)
      return job.arriveAt > now && (!first || first.start >= now)
        ? { kind: 'arrival', at: job.arriveAt }
        : nextOf(live!, stage.next, now)
    }
    case 'working': {
      const placed = placedOf(live!, stage.operation.id)
      const until = placed?.end ?? plusMinutes(stage.since, stage.operation.minutes)
      const progress = live!.progress[stage.operation.id]
      const began = progress?.kind === 'started' ? progress.by : undefined
      // What is with somebody outside is not with whoever handed it over.
      const by = began && !stage.operation.vendorId ? [began] : (placed?.people ?? [])
      return { kind: 'work', operation: stage.operation, by, until, overdue: until < now }
    }
    case 'waiting':
      return {
        kind: 'hold',
        operation: stage.operation,
        until: plusMinutes(stage.since, stage.operation.minutes),
      }
    case 'between':
      return nextOf(live!, stage.next, now)
    default:
      return { kind: 'collection', at: agreement?.promisedFor ?? now }
  }
}

/** The place a car stands in: that of the stay it has begun and not ended. */
export function standsIn(live: LiveJob, now: Instant): string | undefined {
  for (const stay of live.plan.stays) {
    const states = stay.operations.map((id) => {
      const operation = live.plan.operations.find((candidate) => candidate.id === id)!
      return progressAt(live, operation, now).kind
    })
    const begun = states.some((kind) => kind !== 'open')
    const ended = states.every((kind) => kind === 'done')
    if (begun && !ended) return placedOf(live, stay.operations[0]!)?.place
  }
  return undefined
}

/** Whether a car stands at the shop: what has been read there, or whose day of arrival has come. */
function isHere({ job, stage }: FloorJob, waits: WaitsFor, now: Instant): boolean {
  if (stage.kind === 'to-choose' || stage.kind === 'to-measure') return job.arriveAt <= now
  return stage.kind !== 'planned' && waits.kind !== 'arrival'
}

function nextThings(cars: readonly YardCar[], region: Region, now: Instant): NextThing[] {
  return cars
    .flatMap(({ entry, waits }): NextThing[] => {
      const base = {
        jobId: entry.job.id,
        room: roomFor(entry.stage, entry.job.kind),
        plate: entry.job.vehicle.plate,
      }
      switch (waits.kind) {
        case 'next': {
          const begin = waits.from
            ? [
                {
                  ...base,
                  at: waits.from,
                  kind: 'begin' as const,
                  what: stepTitle(region, waits.operation.title),
                  by: waits.by,
                  late: waits.overdue,
                },
              ]
            : []
          const closes = waits.window && {
            ...base,
            at: waits.window.closes,
            kind: 'window-closes' as const,
            what: stepTitle(region, waits.operation.title),
            by: [],
            late: waits.window.closes < now,
          }
          return closes ? [...begin, closes] : begin
        }
        case 'hold':
          return [
            {
              ...base,
              at: waits.until,
              kind: 'hold-ends',
              what: stepTitle(region, waits.operation.title),
              by: [],
              late: false,
            },
          ]
        case 'collection':
          return [
            { ...base, at: waits.at, kind: 'collect', what: 'Collection', by: [], late: waits.at < now },
          ]
        case 'arrival':
          return [{ ...base, at: waits.at, kind: 'arrive', what: 'Arrives', by: [], late: false }]
        default:
          return []
      }
    })
    .concat(followingWork(cars, region, now))
    .sort((a, b) => a.at.localeCompare(b.at))
}

/** What a car under work goes on with, so that everybody's next step is on the list. */
function followingWork(cars: readonly YardCar[], region: Region, now: Instant): NextThing[] {
  return cars.flatMap(({ entry: { job, live, stage } }): NextThing[] => {
    if (!live || (stage.kind !== 'working' && stage.kind !== 'waiting')) return []
    const open = live.plan.operations.find((operation) => progressAt(live, operation, now).kind === 'open')
    const placed = open && placedOf(live, open.id)
    if (!open || !placed || placed.start < now) return []
    return [
      {
        at: placed.start,
        kind: 'begin',
        jobId: job.id,
        room: roomFor(stage, job.kind),
        plate: job.vehicle.plate,
        what: stepTitle(region, open.title),
        by: placed.people,
        late: false,
      },
    ]
  })
}

/** The whole yard. `climateOf` is the sensor of each place; `product` is what coating is judged for. */
export function yardView(
  floor: Floor,
  climateOf: (place: BayId) => BayClimate | undefined,
  productFor: (car: YardCar | undefined) => Product,
): Yard {
  const { now } = floor
  const cars = floor.jobs
    .filter(({ stage }) => stage.kind !== 'handed-over')
    .map((entry): YardCar => {
      const place = entry.live && standsIn(entry.live, now)
      return { entry, waits: waitsFor(entry, now), ...(place ? { place } : {}) }
    })
  const places = floor.shop.setup.places.map((place): YardPlace => {
    const car = cars.find((candidate) => candidate.place === place.id)
    const climate = climateOf(place.id)
    const dew = climate && dewVerdict(climate)
    return {
      ...place,
      ...(car ? { car } : {}),
      ...(climate ? { climate } : {}),
      ...(dew?.ok ? { dewMarginC: dew.value.marginC } : {}),
      breaches: climate ? conditionBreaches(productFor(car), climate) : [{ rule: 'climate-not-measured' }],
    }
  })
  // What stands in no bay, or in one in which the shop says another car is: no car of the shop is ever out of sight.
  const inBay = new Set(places.flatMap(({ car }) => car ?? []))
  const loose = cars.filter((car) => !inBay.has(car) && car.place !== AWAY)
  return {
    places,
    outside: loose.filter(({ entry, waits }) => isHere(entry, waits, now)),
    expected: loose
      .filter(({ entry, waits }) => !isHere(entry, waits, now))
      .sort((a, b) => a.entry.job.arriveAt.localeCompare(b.entry.job.arriveAt)),
    inCare: floor.jobs
      .filter(({ stage }) => stage.kind === 'handed-over')
      .sort((a, b) => b.job.handedOverAt!.localeCompare(a.job.handedOverAt!))
      .slice(0, IN_CARE_SHOWN),
    next: nextThings(cars, floor.shop.setup.region, now),
  }
}
