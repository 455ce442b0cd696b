import { type LiveJob, makeOffer, type Offer, planningProblem } from '@/core/job'
import { type ChainLink, explainEarliest, type PlacedOperation } from '@/core/schedule'
import type { VehicleJudgement } from '@/core/survey'
import { type Instant, laterOf } from '@/core/time'
import { type Floor, openJobs, shopCalendar } from './floor'
import type { Job } from './job-store'
import { collectionTime, planFloor } from './planning'

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

/** Every package worked out for one vehicle, with the day it could be fetched if nobody else is moved. */
export function offersFor(floor: Floor, job: Job, judgement: VehicleJudgement): PricedOffer[] {
  const { setup, catalogue } = floor.shop
  const others = openJobs(floor).filter(({ id }) => id !== job.id)
  return setup.packages.map((template): PricedOffer => {
    const { shape, paintSystem, hardness } = job.vehicle
    const offer = makeOffer(template, {
      shape,
      paintSystem,
      hardness,
      judgement,
      catalogue,
      rates: setup.rates,
    })
    const live = candidate(floor, job, offer)
    const planned = planFloor(setup, [...others, live], { now: floor.now, movable: new Set([job.id]) })
    const placed = planned.placed.filter((operation) => operation.job === job.id)
    if (placed.length < offer.plan.operations.length)
      return {
        offer,
        when: { kind: 'impossible', reasons: planned.schedule.reasons.map(({ message }) => message) },
      }
    const end = placed.map(({ end }) => end as Instant).reduce(laterOf)
    return { offer, when: { kind: 'possible', collectAt: collectionTime(setup, end), placed } }
  })
}

/** Why a planned job cannot be finished earlier while nobody else is moved. */
export function whyNotEarlier(floor: Floor, jobId: string): ChainLink[] | undefined {
  const { problem } = planningProblem(shopCalendar(floor.shop.setup), openJobs(floor), {
    now: floor.now,
    movable: new Set([jobId]),
  })
  return explainEarliest(problem, jobId)
}
