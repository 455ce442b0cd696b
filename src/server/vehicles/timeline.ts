import type { Knex } from 'knex'
import type { Payment } from '@/core/handover'
import type { VehicleId } from '@/core/ids'
import type { Job, Stay, TimelineEntry } from '@/core/job'
import type { Agreement } from '@/core/offer'
import type { Shop } from '@/core/shop'
import { judgeRecord, type StoredSurvey } from '@/core/survey'
import { dayIn, instantOrThrow, type LocalDay } from '@/core/time'
import { loadCoats } from '../aftercare/coats'
import { looksOfVehicle } from '../aftercare/look-store'
import { pastJobsOf } from '../bring/bring-store'
import { visitsOf } from '../floor/job-store'
import { paymentsOf } from '../handover/handover-store'
import { messagesOfVehicle } from '../messages/message-store'
import { photosOfVehicle } from '../photos/photo-store'
import { agreementsOf } from '../quotes/agreement-store'
import { loadSurveys } from '../survey/survey-store'
import { loadLedger } from './ledger-store'

/** Everything that ever happened to a vehicle here, on one line. */

type Facts = { survey: StoredSurvey; agreement: Agreement | undefined; payments: readonly Payment[] }

function stayOf(
  shop: Shop,
  job: Job,
  { survey, agreement, payments }: Facts,
): Omit<Stay, 'coats' | 'waters' | 'photos'> {
  const readings = Object.values(survey.before.readings).flat().length
  const judgement = judgeRecord(job.vehicle, shop.setup, survey, {})
  return {
    kind: 'stay',
    at: job.arriveAt,
    day: dayIn(shop.setup.region.timezone, job.arriveAt),
    job,
    survey,
    readings,
    ...(agreement ? { packageName: agreement.packageName, totalCents: agreement.totalCents } : {}),
    ...(judgement.grade && job.kind === 'work' ? { letter: judgement.grade.letter } : {}),
    paidCents: payments.filter(({ takenBackAt }) => !takenBackAt).reduce((sum, { cents }) => sum + cents, 0),
  }
}

/** Where what has a day and no hour stands on the line. */
const noonOf = (day: LocalDay) => instantOrThrow(`${day}T12:00:00.000Z`)

/** The line of a vehicle, the latest first. */
export async function loadTimeline(db: Knex, shop: Shop, vehicleId: VehicleId): Promise<TimelineEntry[]> {
  const zone = shop.setup.region.timezone
  const coats = await loadCoats(db, shop, vehicleId)
  const looks = await looksOfVehicle(db, vehicleId)
  const photos = await photosOfVehicle(db, vehicleId)
  const visits = await visitsOf(db, vehicleId)
  const ids = visits.map(({ id }) => id)
  const surveys = await loadSurveys(db, ids)
  const agreements = await agreementsOf(db, ids)
  const payments = await paymentsOf(db, ids)
  const stays = visits.map((job): Stay => {
    const waters: Stay['waters'] = {}
    for (const { jobId, water } of looks) if (jobId === job.id) waters[water] = (waters[water] ?? 0) + 1
    const paid = payments.filter(({ jobId }) => jobId === job.id).map(({ payment }) => payment)
    const facts = { survey: surveys.get(job.id)!, agreement: agreements.get(job.id), payments: paid }
    return {
      ...stayOf(shop, job, facts),
      waters,
      coats: coats
        .filter(({ jobId }) => jobId === job.id)
        .map(({ product, lot, endedAt, part }) => ({
          product: product.name,
          lot,
          endedAt,
          where: part.kind === 'surface' ? part.surface : (part.panels?.join(', ') ?? 'paint'),
        })),
      photos: photos.filter(({ jobId }) => jobId === job.id),
    }
  })
  const messages = (await messagesOfVehicle(db, vehicleId)).map((message): TimelineEntry => {
    const at = message.sentAt ?? message.madeAt
    return { kind: 'message', at, day: dayIn(zone, at), message }
  })
  const told = (await loadLedger(db, vehicleId))
    .filter(({ source }) => source === 'told')
    .map(
      (entry): TimelineEntry => ({
        kind: 'told',
        at: noonOf(entry.day),
        day: entry.day,
        entry,
      }),
    )
  const past = (await pastJobsOf(db, vehicleId)).map(
    (job): TimelineEntry => ({ kind: 'past', at: noonOf(job.day), ...job }),
  )
  return [...messages, ...told, ...past, ...stays.toReversed()].sort((a, b) => b.at.localeCompare(a.at))
}
