import type { Knex } from 'knex'
import { offered } from '@/core/correction'
import type { JobId } from '@/core/ids'
import type { Job, LiveJob } from '@/core/job'
import {
  type JobPlan,
  makeOffer,
  type OfferInput,
  type PackageTemplate,
  proposeExtras,
  proposeTrades,
} from '@/core/offer'
import {
  calendarNow,
  type Floor,
  joinParts,
  openJobs,
  type PricedOffer,
  planFloor,
  planningProblem,
  promiseAnew,
  withoutHoldFor,
} from '@/core/planning'
import { type ChainLink, explainEarliest } from '@/core/schedule'
import type { Shop } from '@/core/shop'
import { setTime } from '@/core/supply'
import { mean } from '@/core/survey'
import { paintKnowledge, type StudyInput } from '@/core/test-spot'
import { dayIn, laterOf } from '@/core/time'
import { placesOf, sizeOf } from '@/core/vehicle'
import { contaminationScore, methodHere, washMethod } from '@/core/wash'
import { loadJudged } from '../survey/judged'
import { loadPaintStudy } from '../survey/paint-memory'
import { loadWash } from '../survey/wash-store'
import { loadConsents } from './consent-store'

function candidate(floor: Floor, job: Pick<Job, 'id' | 'arriveAt' | 'vehicle'>, plan: JobPlan): LiveJob {
  return {
    id: job.id,
    arrive: laterOf(job.arriveAt, floor.now),
    weight: 1,
    plan,
    size: sizeOf(job.vehicle),
    progress: {},
    published: [],
  }
}

/** What an offer for a vehicle is worked out from, and the study of its paint behind it. */
export type Worked = { input: OfferInput; study: StudyInput; surveyVersion: number }

/** Reads everything an offer rests on: the survey and its judgement, test spots, the shop’s memory, the wash. */
export async function loadWorked(db: Knex, shop: Shop, job: Job): Promise<Worked> {
  const { survey, judgement } = await loadJudged(db, job, shop.setup)
  const study = await loadPaintStudy(db, job, shop.setup)
  const { findings } = await loadWash(db, job.id)
  const { shape, paintSystem, treatments } = job.vehicle
  const places = placesOf(shape).map((place) => ({ place, defects: survey.places[place.id] ?? [] }))
  return {
    study,
    surveyVersion: survey.version,
    input: {
      shape,
      paintSystem,
      methods: offered(shop.setup.methods),
      purpose: job.purpose,
      today: dayIn(shop.setup.region.timezone, job.arriveAt),
      knowledge: paintKnowledge(study),
      treatments,
      year: Number(dayIn(shop.setup.region.timezone, job.arriveAt).slice(0, 4)),
      judgement,
      consented: await loadConsents(db, job.id),
      glossGu: Object.fromEntries(
        Object.entries(survey.before.gloss).flatMap(([panel, values]) =>
          values.length > 0 ? [[panel, mean(values)]] : [],
        ),
      ),
      proposals: proposeExtras({ judgement, places, treatments }),
      trades: proposeTrades({ judgement, places }, job.wishes),
      catalogue: shop.catalogue,
      vendors: shop.setup.vendors,
      rates: shop.setup.rates,
      customerTax: job.customer.tax,
      pace: shop.setup.pace,
      polishing: shop.setup.polishing,
      ...setTime(shop.setup.supplies),
      ...(findings
        ? {
            contamination: contaminationScore(findings.contamination).score,
            rinseless: (findings.method ?? washMethod(findings.place).method) === 'rinseless',
          }
        : { rinseless: methodHere(shop.setup.wash) === 'rinseless' }),
    },
  }
}

/** When a vehicle could be fetched with this plan, if nobody else is moved. */
export const whenForPlan = (
  floor: Floor,
  job: Pick<Job, 'id' | 'arriveAt' | 'vehicle'>,
  plan: JobPlan,
): PricedOffer['when'] => whenForJob(floor, candidate(floor, job, plan))

/** When the work of a job that is not on the calendar could be done, beside all others as they stand. */
export function whenForJob(asItIs: Floor, live: LiveJob): PricedOffer['when'] {
  const floor = withoutHoldFor(asItIs, live.id)
  const { setup } = floor.shop
  const others = openJobs(floor).filter(({ id }) => id !== live.id)
  const planned = planFloor(calendarNow(floor), [...others, live], {
    now: floor.now,
    movable: new Set([live.id]),
  })
  const placed = planned.placed.filter((operation) => operation.job === live.id)
  if (placed.length < live.plan.operations.length)
    return {
      kind: 'impossible',
      reasons: planned.schedule.reasons,
    }
  const { problem, schedule } = planned
  const promise = promiseAnew(setup, { problem, operations: schedule.operations }, live.id)
  if (promise.kind === 'impossible') return { kind: 'impossible', reasons: [promise.reason] }
  const own = joinParts(problem, { ...schedule, operations: promise.operations })
  const { chances } = promise
  return { kind: 'possible', collectAt: chances[0].at, chances, placed: own }
}

/** Packages worked out for one vehicle, with the day it could be fetched if nobody else is moved. */
export async function offersFor(
  input: OfferInput,
  templates: readonly PackageTemplate[],
  fits: (plans: readonly JobPlan[]) => Promise<PricedOffer['when'][]> | PricedOffer['when'][],
): Promise<PricedOffer[]> {
  const offers = templates.map((template) => makeOffer(template, input))
  const whens = await fits(offers.map(({ plan }) => plan))
  return offers.map((offer, at) => ({ offer, when: whens[at]! }))
}

/** Why a planned job cannot be finished earlier while nobody else is moved. */
export function whyNotEarlier(floor: Floor, jobId: JobId): ChainLink[] | undefined {
  const { problem } = planningProblem(calendarNow(floor), openJobs(floor), {
    now: floor.now,
    movable: new Set([jobId]),
  })
  return explainEarliest(problem, jobId)
}
