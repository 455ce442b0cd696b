import type { Knex } from 'knex'
import { z } from 'zod'
import { toPersonId } from '@/core/ids'
import { MOST_PHOTO_BYTES } from '@/core/photo/most-bytes'
import type { QueueEntry, QueueOutcome, Why } from '@/core/queue'
import { refused } from '@/core/result'
import type { Instant } from '@/core/time'
import type { Caller } from '../action/caller'
import { said } from '../action/in-words'
import { perform } from '../action/perform'
import { NoRoom } from '../db/no-room'
import { type PhotoError, photoAsk, storePhoto } from '../photos/photo-files'
import { photoInput, takePhoto } from '../photos/take-photo'
import { lastActAt } from '../work/acts-store'
import { noteHandedOn } from '../work/handed-on'
import { nextNumber, setNext, type Taken, timeOf } from './receive'
import { findRefused, keepRefused } from './refused-store'

/** What is told of a photograph in the address it is sent to; the picture itself is the body. */
export const photoQuery = photoInput.extend({
  device: z.string().min(8).max(80),
  id: z.string().min(8).max(64),
  number: z.coerce.number().int().min(1),
  ago: z.coerce.number().min(0),
  name: z.string().max(200),
  /** Its picture was too large to be sent along. */
  tooLarge: z.literal('1').optional(),
  by: z.string().min(1).max(80).transform(toPersonId).optional(),
})
type PhotoQuery = z.infer<typeof photoQuery>

/**
 * Takes a photograph from a tablet, once, and in its place among what else it has to tell. `bytes` is undefined where the picture was
 * larger than any may be.
 */
export async function receivePhoto(
  db: Knex,
  sent: PhotoQuery,
  bytes: Buffer | undefined,
  now: Instant,
  caller: Caller,
): Promise<Taken> {
  const { device, id, number, ago, name, by, tooLarge, ...photo } = sent
  const expected = await nextNumber(db, device)
  if (number > expected) return { next: expected, outcomes: [] }
  const told = await alreadyTold(db, sent)
  if (told) return { next: expected, outcomes: [told] }
  const at = timeOf(ago, now, await lastActAt(db, device))
  const stored =
    bytes && !tooLarge
      ? await storePhoto(bytes)
      : refused<PhotoError>({ code: 'photo-too-large', mostBytes: MOST_PHOTO_BYTES })
  return db.transaction(async (trx) => {
    const refusal = async (message: string): Promise<QueueOutcome> => {
      const why: Why = { kind: 'words', message: await said(trx, message) }
      const { jobId: job, samePlaceAs, shows, ...rest } = photo
      const entry: QueueEntry = {
        id,
        kind: 'photo',
        job,
        name,
        ...rest,
        ...(shows ? { shows } : {}),
        ...(samePlaceAs ? { samePlaceAs } : {}),
      }
      await keepRefused(trx, { id, device, at, jobId: job, entry, why })
      return { id, number, taken: false, why }
    }
    const next = Math.max(expected, number + 1)
    await setNext(trx, device, next)
    if (!stored.ok) return { next, outcomes: [await refusal(photoAsk(stored.error))] }
    const input = { ...photo, ...stored.value }
    const answer = await perform(trx, takePhoto, { key: id, input }, { caller: { ...caller, device }, at })
    if (!answer.ok && answer.code === 'no-room') throw new NoRoom()
    if (answer.ok) await noteHandedOn(trx, { id, by, at, jobId: photo.jobId }, caller)
    const outcome: QueueOutcome = answer.ok
      ? { id, number, taken: true, value: answer.value }
      : await refusal(answer.message)
    return { next, outcomes: [outcome] }
  })
}

/** What was said of this photograph before, whatever number it has now. */
async function alreadyTold(db: Knex, { id, number }: PhotoQuery): Promise<QueueOutcome | undefined> {
  const row = await db('action_journal').where({ key: id, action: takePhoto.name }).first('answer')
  if (row) return { id, number, taken: true, value: JSON.parse(row.answer).value }
  const refused = (await findRefused(db, [id])).get(id)
  return refused && { id, number, taken: false, why: refused.why }
}
