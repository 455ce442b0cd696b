import type { Job } from '@/core/job'
import type { Agreement, Quote, QuoteText, ShownPhoto, Summary } from '@/core/offer'
import { readIn } from '@/core/region'
import type { Setup } from '@/core/shop'
import type { Shape } from '@/core/vehicle'
import { photoCaption } from '@/text/photo-caption'
import { pitchOf, quoteText, toldQuote } from '@/text/quote'
import type { ChangeTold } from '@/text/supplement'
import { type Letterhead, letterheadOf } from '../letterhead'

/** Everything that stands on a quote: whose it is, and what it says. */
export type Paper = {
  shop: Letterhead
  vehicle: { plate: string; shape: Shape; words: string }
  packageName: string
  pitch: string
  /** What each panel gets, for the drawing. */
  panels: Pick<Summary['panels'][number], 'id' | 'takesUm'>[]
  note: string
  /** Photographs of what was found. */
  photos: PaperPhoto[]
  text: QuoteText
}

/** A photograph with what it is of; `picture` is the picture itself in base64, where it goes on paper. */
export type PaperPhoto = { hash: string; caption: string; picture?: string }

type Shared = { job: Job; setup: Setup }
type Offered = Pick<Quote, 'packageKey' | 'packageName' | 'summary' | 'note'>

function paperWith(
  { packageKey, packageName, summary, note }: Offered,
  { job, setup }: Shared,
  text: QuoteText,
  photos: readonly ShownPhoto[] = [],
): Paper {
  const { vehicle } = job
  return {
    shop: letterheadOf(setup),
    vehicle: {
      plate: vehicle.plate,
      shape: vehicle.shape,
      words: `${vehicle.make} ${vehicle.model}${vehicle.year ? ` ${vehicle.year}` : ''}, ${vehicle.colour.toLowerCase()}`,
    },
    packageName,
    pitch: text.pitch ?? pitchOf(setup, packageKey, text.language),
    panels: summary.panels.map(({ id, takesUm }) => ({ id, takesUm })),
    note,
    photos: photos.map((photo) => ({
      hash: photo.hash,
      caption: photoCaption(readIn(setup.region, job.customer.language), photo),
    })),
    text,
  }
}

/** A version as it was written. */
export function paperOf(quote: Quote, shared: Shared, agreed?: Agreement): Paper {
  return paperWith(
    quote,
    shared,
    quote.told ?? toldQuote(quote, shared.job, shared.setup, agreed),
    quote.change?.photos,
  )
}

type Chosen = Offered &
  Pick<Quote, 'plan' | 'totalCents'> & {
    depositPercent: number
    validDays: number
    change?: ChangeTold
    photos?: readonly ShownPhoto[]
  }

/** What is chosen on the screen and not yet written. */
export function draftPaper(draft: Chosen, shared: Shared): Paper {
  const { job, setup } = shared
  const text = quoteText(
    readIn(setup.region, job.customer.language),
    {
      shop: setup.name,
      pitch: pitchOf(setup, draft.packageKey, job.customer.language),
      customer: job.customer.name,
      jobNumber: job.number,
      operations: draft.plan.operations,
      ...draft,
    },
    { kind: 'draft', validDays: draft.validDays },
  )
  return paperWith(draft, shared, text, draft.photos)
}
