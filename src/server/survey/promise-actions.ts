'use server'

import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { now } from '../clock'
import { database } from '../db/connection'
import { findJob } from '../floor/job-store'
import { loadShop } from '../shop/shop-store'
import { signatureSchema, signPromises } from './promise-store'
import { promisesOf } from './promised'

export type SignAnswer =
  | { kind: 'signed' }
  | { kind: 'refused'; field?: 'signedBy' | 'signature'; message: string }

const signSchema = z.object({
  signedBy: z
    .string()
    .trim()
    .min(1, 'Write the name of whoever signs.')
    .max(200, 'Keep the name under 200 characters.'),
  signature: signatureSchema,
})

/**
 * Keeps what was said as signed. The lines are made anew from what stands in the shop now, and refused where they
 * differ from what the customer had before their eyes.
 */
export async function sign(
  jobId: string,
  readAt: number,
  shown: string[],
  input: unknown,
): Promise<SignAnswer> {
  const checked = signSchema.safeParse(input)
  if (!checked.success) {
    const [issue] = checked.error.issues
    const field = issue!.path[0] === 'signature' ? 'signature' : 'signedBy'
    return { kind: 'refused', field, message: issue!.message }
  }
  const db = await database()
  const job = await findJob(db, jobId)
  if (!job) return { kind: 'refused', message: 'This job is no longer there. Go back to the yard.' }
  const { setup } = await loadShop(db)
  const lines = await promisesOf(db, job, setup)
  if (JSON.stringify(lines.map(({ text }) => text)) !== JSON.stringify(shown))
    return {
      kind: 'refused',
      message: 'The survey has changed since this was read out. Reload, and read it out again.',
    }
  const signed = await signPromises(db, jobId, readAt, { lines, ...checked.data, signedAt: now() })
  if (!signed.ok)
    return { kind: 'refused', message: 'Another version has been signed in the meantime. Reload to see it.' }
  revalidatePath(`/jobs/${jobId}`, 'layout')
  return { kind: 'signed' }
}
