import type { Knex } from 'knex'
import type { Floor } from '@/core/planning'
import { handoverPdf } from '@/features/handover/handover-pdf'
import { handoverPaper } from '@/features/handover/paper'
import { jobOnFloor } from '@/server/floor/floor'
import { loadHandover } from '@/server/handover/handover'

/** The handover sheet of a job as a PDF to be read in the browser; nothing where there is none. */
export async function handoverResponse(db: Knex, floor: Floor, jobId: string): Promise<Response | undefined> {
  const entry = await jobOnFloor(db, floor, jobId)
  const handover = entry && (await loadHandover(db, floor, entry))
  if (!entry || !handover) return undefined
  const pdf = await handoverPdf(handoverPaper(entry, handover, floor.shop, floor.now))
  const name = `handover-${entry.job.vehicle.plate.replace(/\W+/g, '-').toLowerCase()}.pdf`
  return new Response(new Uint8Array(pdf), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="${name}"`,
      'cache-control': 'no-store',
      'x-robots-tag': 'noindex',
      'referrer-policy': 'no-referrer',
    },
  })
}
