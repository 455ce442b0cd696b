import type { Knex } from 'knex'
import type { Job, Stay, TimelineEntry } from '@/core/job'
import type { Shop } from '@/core/shop'
import { judgeRecord } from '@/core/survey'
import { dayIn, instantOrThrow } from '@/core/time'
import { loadCoats } from '../aftercare/coats'
import { looksOfVehicle } from '../aftercare/look-store'
import { visitsOf } from '../floor/job-store'
import { listPayments } from '../handover/handover-store'
import { messagesOfVehicle } from '../messages/message-store'
import { photosOfVehicle } from '../photos/photo-store'
import { findAgreement } from '../quotes/agreement-store'
import { loadSurvey } from '../survey/survey-store'
import { loadLedger } from './ledger-store'

/** Everything that ever happened to a vehicle here, on one line. */

async function stayOf(db: Knex, shop: Shop, job: Job): Promise<Omit<Stay, 'coats' | 'waters' | 'photos'>> {
  const survey = await loadSurvey(db, job.id)
  const agreement = await findAgreement(db, job.id)
  const payments = await listPayments(db, job.id)
  const readings = Object.values(survey.before.readings).flat().length
  return {
    kind: 'stay',
    at: job.arriveAt,
    day: dayIn(shop.setup.timezone, job.arriveAt),
    job,
    survey,
    readings,
    ...(agreement ? { packageName: agreement.packageName, totalCents: agreement.totalCents } : {}),
    ...(readings > 0 && job.kind === 'work'
      ? { letter: judgeRecord(job.vehicle, shop.setup.school, survey, {}).letter }
      : {}),
    paidCents: payments.filter(({ takenBackAt }) => !takenBackAt).reduce((sum, { cents }) => sum + cents, 0),
  }
}

/** The line of a vehicle, the latest first. */
export async function loadTimeline(db: Knex, shop: Shop, vehicleId: string): Promise<TimelineEntry[]> {
  const zone = shop.setup.timezone
  const coats = await loadCoats(db, shop, vehicleId)
  const looks = await looksOfVehicle(db, vehicleId)
  const photos = await photosOfVehicle(db, vehicleId)
  const stays: Stay[] = []
  for (const job of await visitsOf(db, vehicleId)) {
    const waters: Stay['waters'] = {}
    for (const { jobId, water } of looks) if (jobId === job.id) waters[water] = (waters[water] ?? 0) + 1
    stays.push({
      ...(await stayOf(db, shop, job)),
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
    })
  }
  const messages = (await messagesOfVehicle(db, vehicleId)).map((message): TimelineEntry => {
    const at = message.sentAt ?? message.madeAt
    return { kind: 'message', at, day: dayIn(zone, at), message }
  })
  const told = (await loadLedger(db, vehicleId))
    .filter(({ source }) => source === 'told')
    .map(
      (entry): TimelineEntry => ({
        kind: 'told',
        at: instantOrThrow(`${entry.day}T12:00:00.000Z`),
        day: entry.day,
        entry,
      }),
    )
  return [...messages, ...told, ...stays.toReversed()].sort((a, b) => b.at.localeCompare(a.at))
}
