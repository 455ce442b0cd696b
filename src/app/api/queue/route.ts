import { revalidatePath } from 'next/cache'
import { orNoRoom } from '@/app/or-no-room'
import { now } from '@/server/clock'
import { writer } from '@/server/db/connection'
import { log } from '@/server/log'
import { wakePlanner } from '@/server/planning/planner'
import { bodyOf } from '@/server/queue/body'
import { batchSchema, receiveBatch } from '@/server/queue/receive'
import { callerNow } from '@/server/staff/caller-now'

/** Four hundred entries of the usual length are a tenth of this, bytes. */
const MOST_BYTES = 2_000_000

/** Takes what was done at the cars, from a tablet’s queue; an empty batch tells the time. */
export const POST = (request: Request) => orNoRoom(() => taken(request))

async function taken(request: Request): Promise<Response> {
  if (!request.headers.get('content-type')?.startsWith('application/json'))
    return Response.json({ message: 'A tablet tells it as JSON.' }, { status: 415 })
  const body = await bodyOf(request, MOST_BYTES)
  if (!body) return Response.json({ message: 'More than a tablet ever has to tell.' }, { status: 413 })
  const checked = batchSchema.safeParse(parsed(body))
  if (!checked.success) {
    const [issue] = checked.error.issues
    return Response.json(
      { message: `${issue!.path.join('.')}: ${issue!.message}`, path: issue!.path },
      { status: 400 },
    )
  }
  const began = performance.now()
  const told = await receiveBatch(await writer(), checked.data, now(), await callerNow())
  const { length } = told.outcomes
  if (length > 0) {
    log.info({ queue: length, ms: Math.round(performance.now() - began) })
    wakePlanner()
    revalidatePath('/', 'layout')
  }
  return Response.json({ ...told, now: now() }, { headers: { 'cache-control': 'no-store' } })
}

function parsed(body: Buffer): unknown {
  try {
    return JSON.parse(body.toString('utf8'))
  } catch {
    return undefined
  }
}
