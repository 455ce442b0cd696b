import { type Locks, planAsChosen } from '@/core/correction'
import {
  freeSettings,
  type LiveJob,
  makeOffer,
  type Offer,
  type OfferInput,
  offerWith,
  planningProblem,
} from '@/core/job'
import { type ChainLink, explainEarliest, type PlacedOperation } from '@/core/schedule'
import type { VehicleJudgement } from '@/core/survey'
import { type Instant, laterOf } from '@/core/time'
import { type Floor, openJobs, shopCalendar } from './floor'
import type { Job } from './job-store'
import { collectionTime, planFloor } from './planning'
import type { Shop } from './shop-store'

export type PricedOffer = {
  offer: Offer
  when:
    | { kind: 'possible'; collectAt: Instant; placed: PlacedOperation[] }
    | { kind: 'impossible'; reasons: string[] }
}

function candidate(floor: Floor, job: Job, offer: Offer): LiveJob {
  return {
    id: job.id,
    arrive: laterOf(job.arriveAt, floor.now),
    weight: 1,
    plan: offer.plan,
    progress: {},
    published: [],
  }
}

/** What an offer for a vehicle is worked out from. */
export function offerInput(shop: Shop, job: Job, judgement: VehicleJudgement): OfferInput {
  const { shape, paintSystem, hardness, treatments } = job.vehicle
  return {
    shape,
    paintSystem,
    hardness,
    treatments,
    judgement,
    catalogue: shop.catalogue,
    rates: shop.setup.rates,
  }
}

/** When a vehicle could be fetched with this offer, if nobody else is moved. */
export function whenFor(floor: Floor, job: Job, offer: Offer): PricedOffer['when'] {
  const { setup } = floor.shop
  const others = openJobs(floor).filter(({ id }) => id !== job.id)
  const live = candidate(floor, job, offer)
  const planned = planFloor(setup, [...others, live], { now: floor.now, movable: new Set([job.id]) })
  const placed = planned.placed.filter((operation) => operation.job === job.id)
  if (placed.length < offer.plan.operations.length)
    return { kind: 'impossible', reasons: planned.schedule.reasons.map(({ message }) => message) }
  const end = placed.map((operation) => operation.end as Instant).reduce(laterOf)
  return { kind: 'possible', collectAt: collectionTime(setup, end), placed }
}

/** Every package worked out for one vehicle, with the day it could be fetched if nobody else is moved. */
export function offersFor(floor: Floor, job: Job, judgement: VehicleJudgement): PricedOffer[] {
  const input = offerInput(floor.shop, job, judgement)
  return floor.shop.setup.packages.map((template) => {
    const offer = makeOffer(template, input)
    return { offer, when: whenFor(floor, job, offer) }
  })
}

/** A package around processes chosen panel by panel; undefined where the package or one of them is not to be had. */
export function chosenOffer(
  floor: Floor,
  job: Job,
  judgement: VehicleJudgement,
  packageKey: string,
  processes: Locks,
): Offer | undefined {
  const template = floor.shop.setup.packages.find(({ key }) => key === packageKey)
  if (!template) return undefined
  const input = offerInput(floor.shop, job, judgement)
  const correction = planAsChosen(judgement.panels, freeSettings(template, input), processes)
  return correction && offerWith(template, input, correction)
}

/** Why a planned job cannot be finished earlier while nobody else is moved. */
export function whyNotEarlier(floor: Floor, jobId: string): ChainLink[] | undefined {
  const { problem } = planningProblem(shopCalendar(floor.shop.setup), openJobs(floor), {
    now: floor.now,
    movable: new Set([jobId]),
  })
  return explainEarliest(problem, jobId)
}
