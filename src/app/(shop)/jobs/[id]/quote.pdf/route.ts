import { plateInFileName } from '@/app/file-name'
import { pdfResponse } from '@/app/pdf'
import { toJobId } from '@/core/ids'
import { paperOf } from '@/features/quote/paper'
import { database } from '@/server/db/connection'
import { findJob } from '@/server/floor/job-store'
import { readPhoto } from '@/server/photos/photo-files'
import { listQuotes } from '@/server/quotes/quote-store'
import { loadShop } from '@/server/shop/shop-store'

/** One version of a quote as PDF; the newest where none is named. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const db = await database()
  const job = await findJob(db, id)
  const quotes = job ? await listQuotes(db, id) : []
  const asked = new URL(request.url).searchParams.get('version')
  const quote = asked === null ? quotes.at(-1) : quotes.find(({ version }) => String(version) === asked)
  if (!job || !quote)
    return new Response('There is no such quote. Go back to the job and write one first.', { status: 404 })
  const { setup } = await loadShop(db)
  const name = `quote-${plateInFileName(job.vehicle.plate)}-${quote.version}`
  const paper = paperOf(quote, { job, setup })
  const photos = await Promise.all(
    paper.photos.map(async (photo) => {
      const picture = (await readPhoto(photo.hash, 'thumb'))?.toString('base64')
      return { ...photo, ...(picture ? { picture } : {}) }
    }),
  )
  return pdfResponse({ file: name }, 'quote-pdf', { ...paper, photos })
}
