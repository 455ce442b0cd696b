import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { JobId, VehicleId } from '@/core/ids'
import type { Mark, Photo, Shown } from '@/core/photo'
import { marksSchema, shownSchema } from '@/core/photo'
import type { Instant } from '@/core/time'
import { instantOrThrow } from '@/core/time'
import type { PhotosRow } from '../db/tables'

/** What is drawn on a photograph, in shares 0–1 of its width and height. */

function toPhoto(row: PhotosRow): Photo {
  return {
    id: row.id,
    jobId: row.job_id,
    place: row.place,
    phase: row.phase,
    hash: row.hash,
    width: row.width,
    height: row.height,
    marks: marksSchema.parse(JSON.parse(row.marks)),
    ...(row.shows ? { shows: shownSchema.parse(row.shows) } : {}),
    ...(row.same_place_as ? { samePlaceAs: row.same_place_as } : {}),
    takenAt: instantOrThrow(row.taken_at),
    version: row.version,
  }
}

export async function listPhotos(db: Knex, jobId: JobId): Promise<Photo[]> {
  const rows: PhotosRow[] = await db('photos')
    .where({ job_id: jobId })
    .whereNull('removed_at')
    .orderBy('taken_at')
  return rows.map(toPhoto)
}

/** How many photographs a job has. */
export async function countPhotos(db: Knex, jobId: JobId): Promise<number> {
  const [row] = await db('photos').where({ job_id: jobId }).whereNull('removed_at').count({ count: '*' })
  return Number(row!.count)
}

/** Photographs of every visit of a vehicle, the oldest first. */
export async function photosOfVehicle(db: Knex, vehicleId: VehicleId): Promise<Photo[]> {
  const rows: PhotosRow[] = await db('photos')
    .join('jobs', 'jobs.id', 'photos.job_id')
    .where('jobs.vehicle_id', vehicleId)
    .whereNull('photos.removed_at')
    .orderBy('photos.taken_at')
    .select('photos.*')
  return rows.map(toPhoto)
}

export async function addPhoto(
  db: Knex,
  photo: Omit<Photo, 'id' | 'version' | 'marks'>,
  id: string = randomUUID(),
): Promise<Photo> {
  const row = {
    id,
    job_id: photo.jobId,
    place: photo.place,
    phase: photo.phase,
    hash: photo.hash,
    width: photo.width,
    height: photo.height,
    marks: '[]',
    shows: photo.shows ?? null,
    same_place_as: photo.samePlaceAs ?? null,
    taken_at: photo.takenAt,
    version: 1,
  }
  await db('photos').insert(row)
  return toPhoto({ ...row, removed_at: null })
}

/** Whether a picture stands on a card or a page: one that was taken out of sight everywhere is shown to nobody. */
export async function isInSight(db: Knex, hash: string): Promise<boolean> {
  return (await db('photos').where({ hash }).whereNull('removed_at').first('id')) !== undefined
}

/**
 * Lets go of photographs for good: without its name a picture belongs to nothing, and is swept from the disk if it is still there. Gives the
 * pictures that belong to no other photograph.
 */
export async function dropPhotos(trx: Knex, ids: readonly string[], at: Instant): Promise<string[]> {
  const dropped = new Set<string>()
  for (let from = 0; from < ids.length; from += DROPPED_AT_ONCE) {
    const some = ids.slice(from, from + DROPPED_AT_ONCE)
    for (const hash of await trx('photos').whereIn('id', some).pluck('hash')) dropped.add(hash)
    await trx('photos').whereIn('id', some).update({ removed_at: at, hash: '' })
  }
  return withoutPhoto(trx, [...dropped])
}

/** SQLite takes so many values in a statement. */
const DROPPED_AT_ONCE = 500

/** Those of the pictures that no photograph has, shown or taken out of sight. */
export async function withoutPhoto(db: Knex, hashes: readonly string[]): Promise<string[]> {
  const kept = new Set<string>(await db('photos').distinct().pluck('hash'))
  return hashes.filter((hash) => hash !== '' && !kept.has(hash))
}

/** Keeps what was drawn on a photograph; false where someone else drew on it since it was read. */
export async function writeMarks(
  db: Knex,
  id: string,
  readAt: number,
  marks: readonly Mark[],
): Promise<boolean> {
  const written = await db('photos')
    .where({ id, version: readAt })
    .whereNull('removed_at')
    .update({ marks: JSON.stringify(marks), version: readAt + 1 })
  return written > 0
}

/** Says which mark a photograph shows, or that it shows all of its place; false where there is none of that id. */
export async function writeShown(db: Knex, id: string, shows: Shown | null): Promise<boolean> {
  return (await db('photos').where({ id }).whereNull('removed_at').update({ shows })) > 0
}

/** Takes a photograph out of sight, or brings it back. The picture itself is kept. False where there is none of that id. */
export async function setRemoved(db: Knex, id: string, removedAt: Instant | null): Promise<boolean> {
  return (await db('photos').where({ id }).whereNot({ hash: '' }).update({ removed_at: removedAt })) > 0
}
