import { handoverResponse } from '@/app/handover-response'
import { requestFloor } from '@/app/request-floor'
import { database } from '@/server/db/connection'
import { jobOfLink } from '@/server/links/job-links'

/** The private link of a customer: the sheet of their car and nothing else. */
export async function GET(_request: Request, { params }: { params: Promise<{ token: string }> }) {
  const { token } = await params
  const db = await database()
  const floor = await requestFloor()
  const job = await jobOfLink(db, token, floor.now)
  const answer = job && (await handoverResponse(db, floor, job))
  // The same words for a link that never was, has run out or was taken back: it tells nobody which.
  return answer || new Response('This link no longer works. Ask the shop for a new one.', { status: 404 })
}
