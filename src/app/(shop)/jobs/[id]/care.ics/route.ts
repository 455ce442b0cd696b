import { plateInFileName } from '@/app/file-name'
import { careIcalendar } from '@/core/aftercare'
import { toJobId } from '@/core/ids'
import { readIn } from '@/core/region'
import { loadCare } from '@/server/aftercare/care'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { findJob } from '@/server/floor/job-store'
import { loadShop } from '@/server/shop/shop-store'
import { wordedMilestone } from '@/text/care'

/** The cure calendar as a file for any calendar program. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const db = await database()
  const job = await findJob(db, id)
  if (!job) return new Response('There is no such job.', { status: 404 })
  const shop = await loadShop(db)
  const { milestones } = await loadCare(db, shop, id, now())
  if (milestones.length === 0)
    return new Response('No layer is logged yet, so there are no dates.', { status: 409 })
  const vehicle = `${job.vehicle.make} ${job.vehicle.model}, ${job.vehicle.plate}`
  const region = readIn(shop.setup.region, job.customer.language)
  const text = careIcalendar({
    uid: id,
    vehicle,
    shop: shop.setup.name,
    issued: now(),
    milestones: milestones.map((milestone) => wordedMilestone(region, milestone)),
  })
  const file = `care-${plateInFileName(job.vehicle.plate)}.ics`
  return new Response(text, {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': `attachment; filename="${file}"`,
    },
  })
}
