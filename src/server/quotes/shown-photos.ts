import type { Knex } from 'knex'
import type { JobId } from '@/core/ids'
import { type NamedPhoto, partOfPhoto } from '@/core/photo'
import { listPhotos } from '../photos/photo-store'
import { listedParts } from '../work/acts-store'

/** The photographs of a job as a customer may be shown them, the oldest first. */
export async function namedPhotos(db: Knex, jobId: JobId): Promise<NamedPhoto[]> {
  const [photos, parts] = await Promise.all([listPhotos(db, jobId), listedParts(db, jobId)])
  return photos.map((photo) => {
    const name = parts.get(partOfPhoto(photo) ?? '')
    return name === undefined ? photo : { ...photo, name }
  })
}
