import { toJobId } from '@/core/ids'
import { PHASES, type Phase } from '@/core/survey'
import { panelsOfVehicle } from '@/core/vehicle'
import { database } from '@/server/db/connection'
import { filmGauge } from '@/server/devices'
import { findJob } from '@/server/floor/job-store'
import { agreedCut } from '@/server/handover/hand-over'
import { findAgreement } from '@/server/quotes/agreement-store'
import { loadShop } from '@/server/shop/shop-store'

/**
 * Streams what the shop's gauge delivers, a JSON object a line, from the panel `from` on. Of a car that is done
 * (`phase=after`) it reads what the agreed processes have left.
 */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const db = await database()
  const job = await findJob(db, id)
  if (!job) return new Response('There is no such job.', { status: 404 })
  const panels = panelsOfVehicle(job.vehicle)
  const query = new URL(request.url).searchParams
  const phase: Phase = PHASES.find((each) => each === query.get('phase')) ?? 'before'
  const agreement = phase === 'after' ? await findAgreement(db, id) : undefined
  const removedUm = agreement ? agreedCut(agreement.summary, job.vehicle.hardness) : {}
  const first = panels.findIndex((panel) => panel.id === query.get('from'))
  const { setup } = await loadShop(db)
  const gauge = filmGauge(setup, { plate: job.vehicle.plate, panels, phase, removedUm })
  if (!gauge) return new Response('The shop has no gauge on a line.', { status: 409 })
  const events = gauge.read(panels.slice(Math.max(0, first)), request.signal)[Symbol.asyncIterator]()
  const encoder = new TextEncoder()
  const stream = new ReadableStream({
    async pull(controller) {
      const { done, value } = await events.next()
      if (done) controller.close()
      else controller.enqueue(encoder.encode(`${JSON.stringify(value)}\n`))
    },
  })
  return new Response(stream, {
    headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' },
  })
}
