import type { Job } from '@/core/job'
import type { JobPlan, Quote, Summary } from '@/core/offer'
import type { Setup } from '@/core/shop'
import { dayIn, type Instant, plusMinutes } from '@/core/time'
import { clock, paperDay, shortDay } from '@/text/formats'
import type { Paper } from './quote-paper'

type Shared = { job: Job; setup: Setup }

function head({ job, setup }: Shared) {
  const { vehicle } = job
  return {
    shop: { name: setup.name, address: setup.address, region: setup.region },
    customer: job.customer.name,
    vehicle: {
      plate: vehicle.plate,
      shape: vehicle.shape,
      words: `${vehicle.make} ${vehicle.model}${vehicle.year ? ` ${vehicle.year}` : ''}, ${vehicle.colour.toLowerCase()}`,
    },
    jobNumber: job.number,
  }
}

const pitchOf = (setup: Setup, key: string) =>
  setup.packages.find((template) => template.key === key)?.pitch ?? ''

/** The last day on which a quote holds: it ends with the midnight after it. */
const lastDay = (setup: Setup, until: Instant) =>
  shortDay(setup.region, dayIn(setup.region.timezone, plusMinutes(until, -1)))

/** A version as it was written. */
export function paperOf(quote: Quote, shared: Shared): Paper {
  const { setup } = shared
  const { summary, plan } = quote
  return {
    ...head(shared),
    packageName: quote.packageName,
    pitch: pitchOf(setup, quote.packageKey),
    title: `Quote ${quote.version} of ${shortDay(setup.region, dayIn(setup.region.timezone, quote.writtenAt))}`,
    validUntil: `It holds until ${lastDay(setup, quote.validUntil)}.`,
    ...(quote.couldCollectAt
      ? {
          collection: `As the calendar stood when this was written, the car could be fetched on ${paperDay(setup.region, dayIn(setup.region.timezone, quote.couldCollectAt))} at ${clock(setup.region, quote.couldCollectAt)}. The day is fixed when you say yes.`,
        }
      : {}),
    summary,
    plan,
    totalCents: quote.totalCents,
    depositPercent: quote.choices.terms.depositPercent,
    note: quote.note,
  }
}

/** What is chosen on the screen and not yet written. */
export function draftPaper(
  draft: {
    packageKey: string
    packageName: string
    summary: Summary
    plan: JobPlan
    totalCents: number
    depositPercent: number
    validDays: number
    note: string
  },
  shared: Shared,
): Paper {
  const { packageKey, validDays, ...rest } = draft
  return {
    ...head(shared),
    ...rest,
    pitch: pitchOf(shared.setup, packageKey),
    title: 'Not yet written',
    validUntil: `It will hold for ${validDays === 1 ? 'a day' : `${validDays} days`}.`,
  }
}
