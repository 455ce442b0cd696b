import { panelsOf } from '@/core/vehicle'
import { inventPaint, SimulatedFilmGauge, seedOf } from '@/devices/film-gauge'
import { database } from '@/server/db'
import { findJob } from '@/server/job-store'

const PAUSE_MS = 45

/** Streams the readings of the shop's gauge, a JSON object a line, as they are taken, from the panel `from` on. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const job = await findJob(await database(), id)
  if (!job) return new Response('There is no such job.', { status: 404 })
  const panels = panelsOf(job.vehicle.shape)
  const from = new URL(request.url).searchParams.get('from')
  const walk = panels.slice(
    Math.max(
      0,
      panels.findIndex((panel) => panel.id === from),
    ),
  )
  const seed = seedOf(job.vehicle.id)
  const gauge = new SimulatedFilmGauge(inventPaint(panels, seed), seed, PAUSE_MS)
  const readings = gauge.read(walk, request.signal)[Symbol.asyncIterator]()
  const encoder = new TextEncoder()
  const stream = new ReadableStream({
    async pull(controller) {
      const { done, value } = await readings.next()
      if (done) controller.close()
      else controller.enqueue(encoder.encode(`${JSON.stringify(value)}\n`))
    },
  })
  return new Response(stream, {
    headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' },
  })
}
