import type { Knex } from 'knex'
import { plateInFileName } from '@/app/file-name'
import type { JobId } from '@/core/ids'
import type { Floor } from '@/core/planning'
import { handoverPaper } from '@/features/handover/paper'
import { jobOnFloor } from '@/server/floor/floor'
import { loadHandover } from '@/server/handover/handover'
import { pdfResponse } from './pdf'

/** The handover sheet of a job as a PDF to be read in the browser; nothing where there is none. */
export async function handoverResponse(db: Knex, floor: Floor, jobId: JobId): Promise<Response | undefined> {
  const entry = await jobOnFloor(db, floor, jobId)
  const handover = entry && (await loadHandover(db, floor, entry))
  if (!entry || !handover) return undefined
  const name = `handover-${plateInFileName(entry.job.vehicle.plate)}`
  const paper = handoverPaper(entry, handover, floor.shop, floor.now)
  const headers = { 'x-robots-tag': 'noindex', 'referrer-policy': 'no-referrer' }
  return pdfResponse({ file: name, headers }, 'handover-pdf', paper)
}
