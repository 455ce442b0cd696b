import type { JobPlan, Summary } from '@/core/offer'
import type { Region } from '@/core/region'
import type { Shape } from '@/core/vehicle'
import { money, percent } from '@/text/formats'
import { SideView } from '@/ui/side-view'
import { lineText } from '../plan/price-lines'
import { coatLines, lineOrigin, workLines } from './paper-lines'

/** Everything that stands on a quote. Dates are in words already. */
export type Paper = {
  shop: { name: string; address: string; region: Region }
  customer: string
  vehicle: { plate: string; shape: Shape; words: string }
  jobNumber: number
  packageName: string
  pitch: string
  /** “Quote 2 of Tuesday, 12 January” */
  title: string
  validUntil: string
  collection?: string
  summary: Summary
  plan: Pick<JobPlan, 'operations'>
  totalCents: number
  depositPercent: number
  note: string
}

const TONE = {
  result: 'font-semibold',
  stays: '',
  limit: 'text-ink-soft',
  protection: 'text-ink-soft',
} as const

/** The quote as the customer gets it, on the screen and on paper. */
export function QuotePaper({ paper }: { paper: Paper }) {
  const { shop, summary, vehicle } = paper
  const cents = (value: number) => money(shop.region, value)
  return (
    <article className="sheet p-6 print:border-0 print:p-0" aria-label={paper.title}>
      <header className="flex flex-wrap items-end justify-between gap-4 border-b-2 border-ink pb-4">
        <div>
          <p className="eyebrow">
            {shop.name}, {shop.address}
          </p>
          <h2 className="text-3xl">{paper.packageName}</h2>
          <p className="text-ink-soft">{paper.pitch}</p>
        </div>
        <div className="flex items-end gap-4">
          <SideView shape={vehicle.shape} className="h-14" />
          <p className="text-sm">
            <strong className="block font-head text-xl">{vehicle.plate}</strong>
            {vehicle.words}
            <br />
            for {paper.customer}
          </p>
        </div>
      </header>
      <p className="mt-3 text-sm text-ink-soft">
        {paper.title}, job {paper.jobNumber}. {paper.validUntil}
      </p>
      <section className="mt-4" aria-label="What to expect">
        <h3 className="text-xl">What to expect</h3>
        <ul className="mt-1 space-y-1.5">
          {summary.expectation.map(({ kind, text }) => (
            <li
              key={text}
              className={`border-l-4 pl-3 ${kind === 'stays' ? 'border-copper' : 'border-fern-soft'} ${TONE[kind]}`}
            >
              {text}
            </li>
          ))}
        </ul>
      </section>
      <div className="mt-4 grid gap-6 sm:grid-cols-2">
        <Lines title="Work included" lines={workLines(summary)} />
        {summary.coats.length > 0 && <Lines title="Protection applied" lines={coatLines(summary)} />}
      </div>
      <section className="mt-4" aria-label="The price">
        <h3 className="text-xl">The price</h3>
        <table className="mt-1 w-full text-[15px]">
          <tbody>
            {summary.priceLines.map((line, at) => (
              <tr key={at} className="border-b border-line align-top">
                <td className="py-1.5 pr-4">
                  {lineText(shop.region, line)}
                  {line.kind === 'labour' && (
                    <span className="block text-sm text-ink-soft">
                      {lineOrigin(shop.region, line, paper.plan.operations)}
                    </span>
                  )}
                </td>
                <td className="py-1.5 text-right">{cents(line.cents)}</td>
              </tr>
            ))}
            <tr>
              <td className="pt-2">Before tax</td>
              <td className="pt-2 text-right">{cents(summary.netCents)}</td>
            </tr>
            <tr>
              <td>Tax {percent(shop.region, summary.taxPercent ?? 0)}</td>
              <td className="text-right">{cents(summary.taxCents)}</td>
            </tr>
            <tr className="font-head text-xl font-bold">
              <td className="pt-1">Total</td>
              <td className="pt-1 text-right" data-testid="quote-total">
                {cents(paper.totalCents)}
              </td>
            </tr>
            {summary.depositCents > 0 && (
              <tr>
                <td>Deposit, {percent(shop.region, paper.depositPercent)} before the work begins</td>
                <td className="text-right">{cents(summary.depositCents)}</td>
              </tr>
            )}
          </tbody>
        </table>
      </section>
      {paper.collection && <p className="mt-4">{paper.collection}</p>}
      {paper.note && <p className="mt-3 whitespace-pre-line">{paper.note}</p>}
    </article>
  )
}

function Lines({ title, lines }: { title: string; lines: readonly string[] }) {
  return (
    <section aria-label={title}>
      <h3 className="text-xl">{title}</h3>
      <ul className="mt-1 space-y-1 text-[15px]">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  )
}
