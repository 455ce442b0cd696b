import type { FloorJob } from '@/core/planning'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { ButtonLink } from '@/ui/button'
import { Frond } from '@/ui/frond'
import { PrintButton } from '@/ui/print-button'
import { ScrollStrip } from '@/ui/scroll-strip'
import { SideView } from '@/ui/side-view'
import { leafletsOf } from '../leaflets'
import { LetterheadLine } from '../letterhead'
import type { HandoverPaper } from './paper'

/** The sheet the customer takes home, on the screen and on paper; the PDF says the same words. */
export function HandoverSheet({
  entry,
  paper,
  region,
  now,
}: {
  entry: FloorJob
  paper: HandoverPaper
  region: Region
  now: Instant
}) {
  const { job, live } = entry
  const { headings } = paper
  const list = (lines: readonly string[]) => (
    <ul className="mt-1 list-disc pl-5">
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  )
  return (
    <article className="mx-auto max-w-3xl p-6 print:max-w-none print:p-3" lang={paper.language}>
      <div className="no-print mb-4 flex justify-end gap-3">
        <ButtonLink look="outline" href={`/jobs/${job.id}/handover.pdf`} prefetch={false}>
          As PDF
        </ButtonLink>
        <PrintButton />
      </div>
      <header className="flex items-center gap-6 border-b-2 border-ink pb-4">
        <SideView shape={job.vehicle.shape} className="h-20" />
        <div>
          <LetterheadLine shop={paper.shop} />
          <h1 className="text-3xl">{paper.plate}</h1>
          <p>
            {paper.vehicle}, {paper.forCustomer}
          </p>
          <p className="text-ink-soft">{paper.title}</p>
        </div>
      </header>
      <section className="mt-5 break-inside-avoid">
        <h2 className="text-xl">{headings.result}</h2>
        {live && <Frond leaflets={leafletsOf(live, region, now)} height={58} className="my-2" silent />}
        {paper.result.map((line) => (
          <p key={line}>{line}</p>
        ))}
        {paper.stays.length > 0 && (
          <>
            <p className="mt-2 font-semibold">{headings.remains}</p>
            {list(paper.stays)}
          </>
        )}
      </section>
      {paper.panels.length > 0 && (
        <section className="mt-5">
          <h2 className="text-xl">{headings.panels}</h2>
          <ScrollStrip label={headings.panels}>
            <table className="mt-1 w-full text-[15px]">
              <thead className="text-left text-sm text-ink-soft">
                <tr>
                  {Object.values(paper.columns).map((head) => (
                    <th key={head} className="py-1 pr-2 font-normal">
                      {head}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {paper.panels.map((panel) => (
                  <tr key={panel.name} className="break-inside-avoid border-t border-line align-top">
                    {Object.entries(panel).map(([key, text]) => (
                      <td key={key} className="py-1 pr-2">
                        {text}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </ScrollStrip>
        </section>
      )}
      {paper.beside.length > 0 && (
        <section className="mt-5 break-inside-avoid">
          <h2 className="text-xl">{headings.beside}</h2>
          {list(paper.beside)}
        </section>
      )}
      {paper.layers.length > 0 && (
        <section className="mt-5 break-inside-avoid">
          <h2 className="text-xl">{headings.coatings}</h2>
          {[...paper.layers, ...paper.spots].map((line) => (
            <p key={line}>{line}</p>
          ))}
        </section>
      )}
      {paper.technical && (
        <section className="mt-5 break-inside-avoid">
          <h2 className="text-xl">{paper.technical.heading}</h2>
          {paper.technical.lines.map((line) => (
            <p key={line}>{line}</p>
          ))}
        </section>
      )}
      <section className="mt-5 break-inside-avoid">
        <h2 className="text-xl">{headings.inspection}</h2>
        <p>{paper.inspection}</p>
      </section>
      {paper.milestones.length > 0 && (
        <section className="mt-5 break-inside-avoid">
          <h2 className="mb-2 text-xl">{headings.weeksAhead}</h2>
          {paper.milestones.map(({ title, when, advice, hold }) => (
            <div
              key={title}
              className={hold ? 'mb-2 border-l-4 border-copper pl-3' : 'mb-2 border-l-4 border-line pl-3'}
            >
              <p>
                <strong className="font-head">{title}</strong> {when}
              </p>
              <p className="text-ink-soft">{advice}</p>
            </div>
          ))}
        </section>
      )}
      <section className="mt-5 grid gap-6 break-inside-avoid sm:grid-cols-2 print:grid-cols-2">
        <div>
          <h2 className="text-xl">{headings.do}</h2>
          {list(paper.rules.yes)}
        </div>
        <div>
          <h2 className="text-xl">{headings.avoid}</h2>
          {list(paper.rules.no)}
        </div>
      </section>
      <section className="mt-5 break-inside-avoid">
        <h2 className="text-xl">{headings.payment}</h2>
        {paper.money.map((line) => (
          <p key={line}>{line}</p>
        ))}
      </section>
      <div className="mt-6 border-t border-line pt-3 text-sm text-ink-soft">
        {paper.cautions.map((line) => (
          <p key={line}>{line}</p>
        ))}
      </div>
    </article>
  )
}
