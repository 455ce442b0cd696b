import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { now } from '@/server/clock'
import { writer } from '@/server/db/connection'
import { wakePlanner } from '@/server/planning/planner'
import { takeActs } from '@/server/work/at-the-car'

/** A tablet that was away for a day sends what it has in pieces of this many. */
const BATCH_MOST = 400

const id = z.string().min(8).max(80)
const batchSchema = z.strictObject({
  device: id,
  deviceNow: z.number(),
  waiting: z
    .array(
      z.strictObject({
        id,
        number: z.int().min(1),
        job: z.string().min(1).max(80),
        by: z.string().min(1).max(80),
        deviceAt: z.number(),
        act: z.record(z.string(), z.unknown()),
      }),
    )
    .max(BATCH_MOST),
})

/** Takes what was done at the cars, from a tablet’s outbox; an empty batch tells the time. */
export async function POST(request: Request) {
  const checked = batchSchema.safeParse(await request.json().catch(() => undefined))
  if (!checked.success) {
    const [issue] = checked.error.issues
    return Response.json(
      { message: `${issue!.path.join('.')}: ${issue!.message}`, path: issue!.path },
      { status: 400 },
    )
  }
  const reply = await takeActs(await writer(), checked.data, now())
  if (reply.outcomes.length > 0) {
    wakePlanner()
    revalidatePath('/', 'layout')
  }
  return Response.json({ ...reply, now: now() }, { headers: { 'cache-control': 'no-store' } })
}
