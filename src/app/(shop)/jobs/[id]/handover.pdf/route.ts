import { handoverResponse } from '@/app/handover-response'
import { requestFloor } from '@/app/request-floor'
import { toJobId } from '@/core/ids'
import { database } from '@/server/db/connection'

/** The handover sheet as PDF. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const answer = await handoverResponse(await database(), await requestFloor(), id)
  return (
    answer ?? new Response('There is no agreed work on this car, so nothing to hand over.', { status: 404 })
  )
}
