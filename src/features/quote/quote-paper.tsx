import { SideView } from '@/ui/side-view'
import { LetterheadLine } from '../letterhead'
import type { Paper } from './paper'

const TONE = {
  result: 'font-semibold',
  stays: '',
  limit: 'text-ink-soft',
  protection: 'text-ink-soft',
} as const

/** The quote as the customer gets it, on the screen and on paper. */
export function QuotePaper({ paper }: { paper: Paper }) {
  const { shop, text, vehicle } = paper
  const { headings } = text
  return (
    <article className="sheet p-6 print:border-0 print:p-0" aria-label={text.title} lang={text.language}>
      <header className="flex flex-wrap items-end justify-between gap-4 border-b-2 border-ink pb-4">
        <div>
          <LetterheadLine shop={shop} />
          <h2 className="text-3xl">{text.change ? text.title : paper.packageName}</h2>
          <p className="text-ink-soft">{text.change ? paper.packageName : paper.pitch}</p>
        </div>
        <div className="flex items-end gap-4">
          <SideView shape={vehicle.shape} className="h-14" />
          <p className="text-sm">
            <strong className="block font-head text-xl">{vehicle.plate}</strong>
            {vehicle.words}
            <br />
            {text.forCustomer}
          </p>
        </div>
      </header>
      <p className="mt-3 text-sm text-ink-soft">
        {text.change ? text.about : `${text.title}. ${text.about}`}
      </p>
      {text.change && <ChangeBlock change={text.change} photos={paper.photos} />}
      {text.expectation.length > 0 && (
        <section className="mt-4" aria-label={headings.expect}>
          <h3 className="text-xl">{headings.expect}</h3>
          <ul className="mt-1 space-y-1.5">
            {text.expectation.map(({ kind, text: said }) => (
              <li
                key={said}
                className={`border-l-4 pl-3 ${kind === 'stays' ? 'border-copper' : 'border-fern-soft'} ${TONE[kind]}`}
              >
                {said}
              </li>
            ))}
          </ul>
        </section>
      )}
      <div className={`mt-4 grid gap-6 ${text.protection.length > 0 ? 'sm:grid-cols-2' : ''}`}>
        {text.work.length > 0 && <Lines title={headings.work} lines={text.work} />}
        {text.protection.length > 0 && <Lines title={headings.protection} lines={text.protection} />}
      </div>
      {text.technical && (
        <details className="mt-3">
          <summary className="flex min-h-11 items-center underline decoration-ink-soft/40 underline-offset-4">
            {text.technical.heading}
          </summary>
          <ul className="space-y-1 text-[15px] text-ink-soft">
            {text.technical.lines.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </details>
      )}
      <section className="mt-4" aria-label={headings.price}>
        <h3 className="text-xl">{headings.price}</h3>
        <table className="mt-1 w-full text-[15px]">
          <tbody>
            {text.rows.map(({ name, origin, amount }, at) => (
              <tr key={at} className="border-b border-line align-top">
                <td className="py-1.5 pr-4">
                  {name}
                  {origin && <span className="block text-sm text-ink-soft">{origin}</span>}
                </td>
                <td className="py-1.5 text-right whitespace-nowrap">{amount}</td>
              </tr>
            ))}
            {text.sums.map(({ name, amount }, at) => (
              <tr key={name}>
                <td className={at === 0 ? 'pt-2' : ''}>{name}</td>
                <td className={`text-right whitespace-nowrap ${at === 0 ? 'pt-2' : ''}`}>{amount}</td>
              </tr>
            ))}
            <tr className="font-head text-xl font-bold">
              <td className="pt-1">{text.total.name}</td>
              <td className="pt-1 text-right whitespace-nowrap" data-testid="quote-total">
                {text.total.amount}
              </td>
            </tr>
            {text.deposit && (
              <tr>
                <td>{text.deposit.name}</td>
                <td className="text-right whitespace-nowrap">{text.deposit.amount}</td>
              </tr>
            )}
          </tbody>
        </table>
      </section>
      {text.collection && <p className="mt-4">{text.collection}</p>}
      {paper.note && <p className="mt-3 whitespace-pre-line">{paper.note}</p>}
    </article>
  )
}

/** What a supplement changes, before all that then holds. */
function ChangeBlock({
  change,
  photos,
}: {
  change: NonNullable<Paper['text']['change']>
  photos: Paper['photos']
}) {
  return (
    <section className="mt-4 border-b border-line pb-4" aria-label={change.heading}>
      <p>{change.of}</p>
      {change.sections.map(({ heading, text }) => (
        <div key={heading} className="mt-3">
          <h3 className="text-xl">{heading}</h3>
          <p className="whitespace-pre-line">{text}</p>
        </div>
      ))}
      {photos.length > 0 && (
        <ul className="mt-2 grid grid-cols-3 gap-2">
          {photos.map(({ hash, caption }) => (
            <li key={hash} className="text-sm text-ink-soft">
              {/* biome-ignore lint/performance/noImgElement: the picture comes from the shop's own folder. */}
              <img
                src={`/api/photos/${hash}?size=thumb`}
                alt={caption}
                className="aspect-[4/3] w-full rounded object-cover"
              />
              {caption}
            </li>
          ))}
        </ul>
      )}
      {change.rows.length > 0 && (
        <>
          <h3 className="mt-3 text-xl">{change.heading}</h3>
          <table className="mt-1 w-full text-[15px]">
            <tbody>
              {change.rows.map(({ name, amount }) => (
                <tr key={name} className="border-b border-line align-top">
                  <td className="py-1.5 pr-4">{name}</td>
                  <td className="py-1.5 text-right whitespace-nowrap">{amount}</td>
                </tr>
              ))}
              {change.sums.map(({ name, amount }, at) => (
                <tr key={name} className={at === change.sums.length - 1 ? 'font-semibold' : ''}>
                  <td className="pt-1.5">{name}</td>
                  <td className="pt-1.5 text-right whitespace-nowrap">{amount}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </section>
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
