import { z } from 'zod'
import { PHASES } from '@/core/survey'
import { panelsOf, placesOf } from '@/core/vehicle'
import { now } from '@/server/clock'
import { writer } from '@/server/db/connection'
import { findJob } from '@/server/floor/job-store'
import { MOST_BYTES, photoErrorText, storePhoto } from '@/server/photos/photo-files'
import { addPhoto, listPhotos } from '@/server/photos/photo-store'

const querySchema = z.object({
  place: z.string().min(1),
  phase: z.enum(PHASES),
  samePlaceAs: z.string().optional(),
})

const refuse = (message: string, status: number) => Response.json({ message }, { status })

/** Reads a body up to the limit and no further, whatever its header says; undefined where there is more. */
async function bytesOf(request: Request): Promise<Buffer | undefined> {
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES) return undefined
  const chunks: Uint8Array[] = []
  let length = 0
  for await (const chunk of request.body ?? []) {
    length += chunk.length
    if (length > MOST_BYTES) return undefined
    chunks.push(chunk)
  }
  return Buffer.concat(chunks)
}

/** Takes one photograph of a place on a vehicle; the picture itself is the body. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const query = querySchema.safeParse(Object.fromEntries(new URL(request.url).searchParams))
  if (!query.success) return refuse('Choose a panel or a place first, then take the photograph.', 400)
  const db = await writer()
  const job = await findJob(db, id)
  if (!job) return refuse('This job is no longer there. Go back to the yard.', 404)
  const { place, phase, samePlaceAs } = query.data
  if (![...panelsOf(job.vehicle.shape), ...placesOf(job.vehicle.shape)].some((each) => each.id === place))
    return refuse(`“${place}” is no part of this body shape.`, 400)
  if (samePlaceAs && !(await listPhotos(db, id)).some((photo) => photo.id === samePlaceAs))
    return refuse('The photograph this one repeats is no longer there.', 400)
  const bytes = await bytesOf(request)
  if (!bytes) return refuse(photoErrorText({ code: 'photo-too-large', mostBytes: MOST_BYTES }), 413)
  const stored = await storePhoto(bytes)
  if (!stored.ok) return refuse(photoErrorText(stored.error), 422)
  const photo = await addPhoto(db, {
    jobId: id,
    place,
    phase,
    ...stored.value,
    takenAt: now(),
    ...(samePlaceAs ? { samePlaceAs } : {}),
  })
  return Response.json(photo, { status: 201 })
}
