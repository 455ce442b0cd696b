import type { Knex } from 'knex'
import { ask } from '@/core/asks'
import {
  HISTORY_FORMAT,
  type HistoryStay,
  lastDayOf,
  readHistory,
  type VehicleHistory,
  writeHistory,
} from '@/core/history'
import type { VehicleId } from '@/core/ids'
import { emptyIntake } from '@/core/intake/intake'
import { partOfPhoto } from '@/core/photo'
import type { Shop } from '@/core/shop'
import { countedReadings, type Measured, PHASES } from '@/core/survey'
import { dayIn, type Instant, plusDays } from '@/core/time'
import { titleOf } from '@/text/en/correction'
import { historyErrorText } from '@/text/en/history-file'
import { ledgerNote } from '@/text/en/ledger'
import { ONLY_INSPECTED, SHORT_NAME } from '@/text/en/visits'
import { refreshCareDates } from '../aftercare/care-dates'
import { loadCoats } from '../aftercare/coats'
import { looksOfVehicle } from '../aftercare/look-store'
import { visitsOf } from '../floor/job-store'
import { readPhoto } from '../photos/photo-files'
import { photosOfVehicle } from '../photos/photo-store'
import { agreementsOf } from '../quotes/agreement-store'
import { loadShop } from '../shop/shop-store'
import { loadSurveys } from '../survey/survey-store'
import { listBrought } from './brought'
import { appendRemovals, loadLedger } from './ledger-store'
import { findKnown, writeCustomer, writeVehicle } from './vehicle-store'

/** The history of a vehicle handed on, and read back. */

const roundsOf = (phased: Record<(typeof PHASES)[number], Readonly<Record<string, readonly number[]>>>) =>
  PHASES.flatMap((phase) =>
    Object.entries(phased[phase]).flatMap(([panel, values]) =>
      values.length > 0 ? [{ panel, phase, values: [...values] }] : [],
    ),
  )

const both = <T>(survey: Record<'before' | 'after', Measured>, pick: (measured: Measured) => T) => ({
  before: pick(survey.before),
  after: pick(survey.after),
})

/** Everything that is handed on of a vehicle; undefined where there is none of that id. */
export async function loadHistory(
  db: Knex,
  shop: Shop,
  vehicleId: VehicleId,
  now: Instant,
): Promise<VehicleHistory | undefined> {
  const known = await findKnown(db, vehicleId)
  if (!known) return undefined
  const { vehicle } = known
  const zone = shop.setup.region.timezone
  const coats = await loadCoats(db, shop, vehicleId)
  const photos = await photosOfVehicle(db, vehicleId)
  const looks = await looksOfVehicle(db, vehicleId)
  const visits = await visitsOf(db, vehicleId)
  const ids = visits.map(({ id }) => id)
  const surveys = await loadSurveys(db, ids)
  const agreements = await agreementsOf(db, ids)
  const stays = visits.flatMap((job): HistoryStay[] => {
    if (!job.handedOverAt) return []
    const survey = surveys.get(job.id)!
    const agreement = agreements.get(job.id)
    const stay = {
      day: dayIn(zone, job.arriveAt),
      homeOn: dayIn(zone, job.handedOverAt),
      kind: job.kind,
      title: agreement?.packageName ?? (job.kind === 'work' ? ONLY_INSPECTED : SHORT_NAME[job.kind]),
      ...(job.odometerKm === undefined ? {} : { odometerKm: job.odometerKm }),
      film: roundsOf(both(survey, countedReadings)),
      gloss: roundsOf(both(survey, ({ gloss }) => gloss)),
      work: (agreement?.summary.panels ?? [])
        .filter(({ takesUm }) => takesUm > 0)
        .map(({ id, process, takesUm }) => ({
          panel: id,
          process: titleOf(agreement?.summary.works ?? [], process),
          takesUm,
        })),
      layers: coats
        .filter(({ jobId }) => jobId === job.id)
        .map(({ product, lot, endedAt, part }) => ({
          product: product.name,
          kind: product.kind,
          lot,
          surface: part.kind === 'surface' ? part.surface : ('paint' as const),
          ...(part.kind === 'paint' && part.panels ? { panels: [...part.panels] } : {}),
          endedAt,
          lifeMonths: product.lifeMonths,
          firstVisitMonths: product.firstVisitMonths,
        })),
      looks: looks
        .filter(({ jobId }) => jobId === job.id)
        .map(({ unit, water, angleDegrees, feel, cleaned, cause, note }) => ({
          part: unit,
          water,
          ...(angleDegrees === undefined ? {} : { angleDegrees }),
          ...(feel ? { feel } : {}),
          cleaned,
          ...(cause ? { cause } : {}),
          note,
        })),
      photographs: photos
        // What came off the car, and what of its owner’s was in it, is nobody else’s business.
        .filter((photo) => photo.jobId === job.id && partOfPhoto(photo) === undefined)
        .map(({ place, phase, takenAt, hash }) => ({ place, phase, takenAt, sha256: hash })),
    }
    return [stay]
  })
  const {
    id: _,
    storage: _s,
    washing: _w,
    yearlyKm: _k,
    salted: _a,
    hardWater: _h,
    lengthM: _l,
    heightM: _hm,
    ...paint
  } = vehicle
  return {
    format: HISTORY_FORMAT,
    writtenOn: dayIn(zone, now),
    shop: shop.setup.name,
    vehicle: paint,
    stays: [...(await broughtStays(db, vehicleId)), ...stays],
    ledger: (await loadLedger(db, vehicleId)).map(({ id: _id, jobId: _job, ...removal }) => ({
      ...removal,
      note: ledgerNote(shop.setup.region, removal.note),
    })),
  }
}

export async function historyFile(
  db: Knex,
  shop: Shop,
  vehicleId: VehicleId,
  now: Instant,
): Promise<string | undefined> {
  const history = await loadHistory(db, shop, vehicleId, now)
  return history && writeHistory(await withPictures(history))
}

/** Pictures in one history come to no more than this, so that it can be sent, letters of base64. */
const PICTURES_MOST = 3_000_000

/** The same history with small pictures in it, of the latest stays first, as far as they fit. */
export async function withPictures(history: VehicleHistory): Promise<VehicleHistory> {
  let room = PICTURES_MOST
  const stays: HistoryStay[] = []
  for (const stay of history.stays.toReversed()) {
    const photographs: HistoryStay['photographs'] = []
    for (const { picture: brought, ...photograph } of stay.photographs) {
      const picture = brought ?? (await readPhoto(photograph.sha256, 'thumb'))?.toString('base64')
      const fits = picture !== undefined && picture.length <= room
      if (fits) room -= picture.length
      photographs.push({ ...photograph, ...(fits ? { picture } : {}) })
    }
    stays.unshift({ ...stay, photographs })
  }
  return { ...history, stays }
}

async function broughtStays(db: Knex, vehicleId: VehicleId): Promise<HistoryStay[]> {
  return (await listBrought(db, vehicleId)).flatMap(({ stays }) => stays)
}

export type Brought = { kind: 'read'; vehicleId: VehicleId } | { kind: 'refused'; message: string }

/**
 * Reads a history another shop wrote: the vehicle becomes known here under its new owner, with all paint ever removed in the
 * ledger, and what lies on it counted. A vehicle that is known here already is not read over.
 */
export async function bringHistory(
  db: Knex,
  file: string,
  ownerName: string,
  now: Instant,
): Promise<Brought> {
  const read = readHistory(file)
  const { region } = (await loadShop(db)).setup
  if (!read.ok) return { kind: 'refused', message: historyErrorText(region, read.error) }
  const { vehicle, ledger, shop } = read.value
  // A day of grace: midnight comes earlier elsewhere.
  if (lastDayOf(read.value) > plusDays(dayIn(region.timezone, now), 1))
    return { kind: 'refused', message: ask('file-to-come') }
  const same = await db('vehicles')
    .where((either) => {
      either.where('plate', vehicle.plate.toUpperCase())
      if (vehicle.vin) either.orWhere('vin', vehicle.vin)
    })
    .first('plate')
  if (same)
    return {
      kind: 'refused',
      message: ask('vehicle-known', { plate: same.plate }),
    }
  if (ownerName.trim() === '') return { kind: 'refused', message: ask('new-owner') }
  const intake = {
    ...emptyIntake(dayIn('UTC', now)),
    ...vehicle,
    year: vehicle.year === undefined ? '' : String(vehicle.year),
    customerName: ownerName.trim(),
  }
  const vehicleId = await db.transaction(async (trx) => {
    const id = await writeVehicle(trx, intake, await writeCustomer(trx, intake, now))
    await trx('brought_histories').insert({ vehicle_id: id, history: writeHistory(read.value), read_at: now })
    const noted = ledger.map((removal) => ({
      ...removal,
      note: `${shop}: ${removal.note || removal.source}`,
    }))
    await appendRemovals(trx, id, undefined, noted, now)
    return id
  })
  await refreshCareDates(db, await loadShop(db), vehicleId, now)
  return { kind: 'read', vehicleId }
}
