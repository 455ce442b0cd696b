import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { inspectionItems } from '@/core/handover'
import { aJob, id } from '@/core/inputs'
import { partOfPhoto, shownSchema } from '@/core/photo'
import { PHASES } from '@/core/survey'
import { anyPanelOf, placesOf } from '@/core/vehicle'
import { defineWrite } from '../action/perform'
import { findJob } from '../floor/job-store'
import { isListedPart } from '../work/acts-store'
import { addPhoto, countPhotos, listPhotos } from './photo-store'

/** A photograph of a place on a vehicle, as it is told beside the picture itself. */
export const photoInput = z.strictObject({
  jobId: aJob,
  place: z.string().min(1, ask('photo-nowhere')).max(120),
  phase: z.enum(PHASES),
  shows: shownSchema.optional(),
  samePlaceAs: id.optional(),
})

/** A visit has twenty to sixty (mem); whoever sends so many fills the disk. */
const MOST_OF_A_VISIT = 500

/** Enters a photograph whose picture is stored already, at the time it was taken. */
export const takePhoto = defineWrite({
  name: 'photos.take',
  who: 'team',
  input: photoInput.extend({ hash: z.string().max(128), width: z.int(), height: z.int() }),
  write: async ({ trx, at, key }, { jobId, samePlaceAs, shows, ...photo }) => {
    const job = await findJob(trx, jobId)
    if (!job) return refuse('gone', ask('job-gone'))
    if ((await countPhotos(trx, jobId)) >= MOST_OF_A_VISIT) return refuse('rule', ask('photos-enough'))
    const { shape } = job.vehicle
    const part = partOfPhoto(photo)
    const isThere =
      part === undefined
        ? [...anyPanelOf(shape), ...placesOf(shape), ...inspectionItems(job.vehicle)].some(
            (each) => each.id === photo.place,
          )
        : await isListedPart(trx, jobId, part)
    if (!isThere) return refuse('input', ask('no-such-part'), 'place')
    if (samePlaceAs && !(await listPhotos(trx, jobId)).some((each) => each.id === samePlaceAs))
      return refuse('gone', ask('photo-of-gone'))
    const taken = {
      jobId,
      ...photo,
      takenAt: at,
      ...(shows ? { shows } : {}),
      ...(samePlaceAs ? { samePlaceAs } : {}),
    }
    return done(await addPhoto(trx, taken, key))
  },
})
