import type { Knex } from 'knex'
import {
  expectedLife,
  exposureOf,
  type Feel,
  type KeptLook,
  levelAt,
  WATERS,
  type Water,
  waterChances,
} from '@/core/aftercare'
import type { Job } from '@/core/job'
import { shortSummary } from '@/core/offer'
import type { Random } from '@/core/schedule'
import type { Shop } from '@/core/shop'
import { emptyRecord } from '@/core/survey'
import { atLocal, type Instant, type LocalDay, monthsBetween, plusMinutes } from '@/core/time'
import { panelsOf } from '@/core/vehicle'
import { type PaintTruth, SimulatedFilmGauge, seedOf } from '@/devices/film-gauge'
import { SimulatedGlossMeter } from '@/devices/gloss-meter'
import { writeLooks } from '@/server/aftercare/look-store'
import { visitOffer } from '@/server/aftercare/short-jobs'
import { addShortJob, findJob, handOver } from '@/server/floor/job-store'
import { addPayment } from '@/server/handover/handover-store'
import { writeAgreement } from '@/server/quotes/agreement-store'
import { loadSurvey, saveSurvey } from '@/server/survey/survey-store'
import { SHORT_NAME } from '@/text/en/visits'
import { type PersonId, toBayId, toPersonId } from '../src/core/ids'
import { writeDone } from './past-work'
import { roundOf } from './round'

/** A visit of the past: what the water did on every panel of a coating whose true life only the generator knows. */

/** The life a coating of the past really has, months, by panel. */
export type TrueLives = Readonly<Record<string, number>>

/** Lives as coatings of the demo shop have them: most as the product says, some less, now and then one panel much less. */
export function trueLives(shop: Shop, work: Job, productIds: readonly string[], random: Random): TrueLives {
  const layers = productIds.map((id) => shop.catalogue.find((product) => product.id === id)!)
  const exposure = exposureOf(work.vehicle)
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  const common = Math.exp(0.25 * normal())
  return Object.fromEntries(
    panelsOf(work.vehicle.shape).map(({ id, orientation }) => {
      const own = random() < 0.03 ? 0.45 : Math.exp(0.08 * normal())
      return [id, expectedLife(layers, exposure, orientation) * common * own]
    }),
  )
}

function waterAt(level: number, random: Random): Water {
  const chances = waterChances(level)
  let left = random()
  for (const water of WATERS) {
    left -= chances[water]
    if (left <= 0) return water
  }
  return 'wets'
}

const feelAt = (level: number): Feel => (level > 0.7 ? 'slick' : level > 0.4 ? 'drags' : 'grips')

export type PastVisit = {
  work: Job
  laidAt: Instant
  day: LocalDay
  lives: TrueLives
  paint: PaintTruth
}

export async function liveVisit(
  db: Knex,
  shop: Shop,
  { work, laidAt, day, lives, paint }: PastVisit,
  random: Random,
): Promise<Job> {
  const zone = shop.setup.region.timezone
  const arriveAt = atLocal(zone, day, '08:00')
  const { vehicle } = work
  const booked = { vehicleId: vehicle.id, kind: 'visit' as const, wishes: 'Yearly look.', arriveAt }
  const id = await addShortJob(db, booked, plusMinutes(arriveAt, -7 * 1440))
  const job = (await findJob(db, id))!
  const panels = panelsOf(vehicle.shape)
  const offer = visitOffer(shop, vehicle, job.customer)
  const age = monthsBetween(laidAt, arriveAt)
  const lookedAt = plusMinutes(arriveAt, 150)
  const looks = panels.map((panel): KeptLook & { by: PersonId } => {
    const level = levelAt(age, lives[panel.id]!)
    const water = waterAt(level, random)
    return {
      unit: panel.id,
      water,
      feel: feelAt(level),
      cleaned: true,
      ...(water === 'sheets' || water === 'wets' ? { cause: 'wear' as const } : {}),
      note: '',
      by: toPersonId('brida'),
      at: lookedAt,
    }
  })
  const record = emptyRecord()
  const seed = seedOf(vehicle.plate) + job.number
  record.before.readings = await roundOf(new SimulatedFilmGauge(paint, seed, 0), panels.slice(0, 6))
  const meter = new SimulatedGlossMeter((panel) => 100 - 26 * (1 - levelAt(age, lives[panel]!)), seed)
  record.before.gloss = Object.fromEntries(panels.map((panel) => [panel.id, meter.read(panel.id)]))
  await saveSurvey(db, id, (await loadSurvey(db, id)).version, record, lookedAt)
  await writeLooks(db, id, looks)
  await writeAgreement(db, {
    jobId: id,
    packageKey: 'visit',
    packageName: SHORT_NAME.visit,
    plan: offer.plan,
    summary: shortSummary({ price: offer.price, coats: [] }),
    totalCents: offer.price.totalCents,
    promisedFor: atLocal(zone, day, '16:00'),
    agreedAt: plusMinutes(arriveAt, -7 * 1440),
  })
  let at = plusMinutes(arriveAt, 15)
  const lived = offer.plan.operations.map((operation) => {
    const [start, minutes] = [at, Math.round(operation.minutes * (0.9 + 0.3 * random()))]
    at = plusMinutes(at, minutes + 5)
    return {
      job: id,
      operation: operation.id,
      start,
      end: plusMinutes(start, minutes),
      people: [toPersonId('brida')],
      place: toBayId(operation.kind === 'wash' ? 'wash' : 'loft-3'),
      segments: [],
    }
  })
  await writeDone(db, job, offer.plan, lived)
  await addPayment(db, id, { cents: offer.price.totalCents, way: 'card', note: '', at })
  await handOver(db, job, [], plusMinutes(at, 30))
  return job
}
