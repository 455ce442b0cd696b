import { renderSVG } from 'uqr'
import type { Region } from '@/core/region'
import type { Shelf } from '@/core/stock'
import { shortDay } from '@/text/formats'
import { PrintButton } from '@/ui/print-button'
import { labelText } from './label-code'

/** A label for each bottle: its number, what is in it, until when, and a code a camera can read. */
export function Labels({ shelf, region }: { shelf: Shelf; region: Region }) {
  const bottles = shelf.needs.flatMap(({ product, bottles: own }) =>
    own.map((bottle) => ({ bottle, product })),
  )
  return (
    <div className="mx-auto max-w-4xl p-5 print:max-w-none print:p-0">
      <div className="no-print mb-4 flex items-center justify-between">
        <h1 className="text-2xl">Labels</h1>
        <PrintButton />
      </div>
      {bottles.length === 0 && <p>The shelf is empty: put bottles on it first.</p>}
      <ul className="grid grid-cols-2 gap-3 sm:grid-cols-3 print:grid-cols-3">
        {bottles.map(({ bottle, product }) => (
          <li
            key={bottle.id}
            className="sheet flex break-inside-avoid items-center gap-3 p-3 print:border-dashed"
          >
            {/* A drawing that the library makes from our own text. */}
            <div
              className="size-20 shrink-0 bg-white [&_svg]:size-full"
              role="img"
              aria-label={`Code of bottle ${bottle.code}`}
              // biome-ignore lint/security/noDangerouslySetInnerHtml: made here from the bottle's number, nothing typed.
              dangerouslySetInnerHTML={{ __html: renderSVG(labelText(bottle.code), { border: 2 }) }}
            />
            <p className="leading-tight">
              <strong className="font-head text-2xl">{bottle.code}</strong>
              <br />
              {product.name}
              <br />
              <span className="text-sm">
                Lot {bottle.lot}
                <br />
                {bottle.state === 'past' ? (
                  <strong className="text-copper">expired {shortDay(region, bottle.goodUntil)}</strong>
                ) : (
                  `good until ${shortDay(region, bottle.goodUntil)}`
                )}
              </span>
            </p>
          </li>
        ))}
      </ul>
    </div>
  )
}
