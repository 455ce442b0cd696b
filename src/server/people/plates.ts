import type { Knex } from 'knex'
import { readHistory, writeHistory } from '@/core/history'
import type { CustomerId } from '@/core/ids'
import type { PhotoChoice } from '@/core/people'
import type { Plate, PlatedPhoto } from '@/core/photo/plate'
import { type Instant, instantOrThrow } from '@/core/time'
import { coveredPhoto, type StoredFile } from '../photos/photo-files'
import { dropPhotos, withoutPhoto } from '../photos/photo-store'
import { type Reached, reachedBy } from './reached'

/** The photographs of somebody who is erased: kept, gone, or with their plates made unreadable. */

/** Pictures on which a plate may be seen: of the ends of the car, and of all of it; a door is between the wheels. */
const SHOWS_PLATE = /^(front|rear)-(?!door)|bonnet|boot|tailgate|bumper|lamp|grille|whole|round/
const mayShow = (place: string) => SHOWS_PLATE.test(place)

/** The photographs of a customer’s cars, those first on which a plate may be seen. */
export async function platedPhotos(db: Knex, customer: CustomerId): Promise<PlatedPhoto[]> {
  const rows = await db('photos')
    .join('jobs', 'jobs.id', 'photos.job_id')
    .join('vehicles', 'vehicles.id', 'jobs.vehicle_id')
    .where('vehicles.customer_id', customer)
    .whereNull('photos.removed_at')
    .orderBy('photos.taken_at')
    .select('photos.id', 'hash', 'width', 'height', 'place', 'phase', 'taken_at')
  const photos = rows.map(({ taken_at, ...row }) => ({
    ...row,
    takenAt: instantOrThrow(taken_at),
    plate: mayShow(row.place) ? ('anywhere' as const) : ('none' as const),
  }))
  return [
    ...photos.filter(({ plate }) => plate !== 'none'),
    ...photos.filter(({ plate }) => plate === 'none'),
  ]
}

export type Marked = readonly { photoId: string; plate: Plate }[]
export type Blurred = ReadonlyMap<string, StoredFile>

/**
 * Copies of the photographs on which a plate may be seen, without it, by the ids of the photographs: made before anything is written.
 * Where nobody said where the plate is, nothing of the picture is left.
 */
export async function blurPlates(db: Knex, customer: CustomerId, marked: Marked): Promise<Blurred> {
  const said = new Map(marked.map(({ photoId, plate }) => [photoId, plate]))
  const blurred = new Map<string, StoredFile>()
  for (const { row } of (await reachedBy(db, customer)).get('photos') ?? []) {
    const plate = said.get(String(row.id)) ?? (mayShow(String(row.place)) ? 'anywhere' : 'none')
    if (plate === 'none') continue
    const file = await coveredPhoto(String(row.hash), plate === 'anywhere' ? undefined : plate)
    if (file) blurred.set(String(row.id), file)
  }
  return blurred
}

/** Does with the photographs what was chosen, and gives the pictures nothing shows any more. */
export async function changePhotos(
  trx: Knex,
  reached: Reached,
  { photos, blurred }: { photos: PhotoChoice; blurred: Blurred },
  at: Instant,
): Promise<string[]> {
  if (photos === 'keep') return []
  await changeBrought(trx, reached, photos)
  const rows = (reached.get('photos') ?? []).map(({ row }) => ({
    id: String(row.id),
    hash: String(row.hash),
  }))
  if (photos === 'remove')
    return dropPhotos(
      trx,
      rows.map(({ id }) => id),
      at,
    )
  for (const [id, file] of blurred) await trx('photos').where({ id }).update(file)
  const were = rows.filter(({ id }) => blurred.has(id)).map(({ hash }) => hash)
  return withoutPhoto(trx, [...new Set(were)])
}

/** Histories of other shops bring pictures with them, small ones: a plate that may be seen on one is not looked for, the picture goes. */
async function changeBrought(trx: Knex, reached: Reached, photos: 'blur' | 'remove'): Promise<void> {
  for (const { row, where } of reached.get('brought_histories') ?? []) {
    const history = withoutPictures(String(row.history), (place) => photos === 'remove' || mayShow(place))
    await trx('brought_histories').where(where).update({ history })
  }
}

/** The file of a history without the pictures of such places; of one that is of a later form all of them go. */
function withoutPictures(file: string, goes: (place: string) => boolean): string {
  const read = readHistory(file)
  if (!read.ok)
    return JSON.stringify(JSON.parse(file, (key, value) => (key === 'picture' ? undefined : value)))
  const stays = read.value.stays.map((stay) => ({
    ...stay,
    photographs: stay.photographs.map(({ picture, ...photograph }) =>
      picture && !goes(photograph.place) ? { ...photograph, picture } : photograph,
    ),
  }))
  return writeHistory({ ...read.value, stays })
}
