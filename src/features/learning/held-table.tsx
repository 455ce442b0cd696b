'use client'

import type { Held } from '@/core/aftercare'
import type { Product } from '@/core/coating'
import type { Region } from '@/core/region'
import type { Supply } from '@/core/supply'
import { keepProducts } from '@/server/shop/product-actions'
import { carsText, foreseenText, heldText } from '@/text/en/held'
import { surfaceName } from '@/text/en/step-names'
import { PAINT_SYSTEM_GUIDE, STORAGE_NAME } from '@/text/en/vehicle'
import { number } from '@/text/formats'
import { Button } from '@/ui/button'
import { useAction } from '@/ui/use-action'

type Props = {
  held: readonly Held[]
  catalogue: readonly Product[]
  supplies: readonly Supply[]
  version: number
  region: Region
}

/** Each coating: what its sheet says, what the cars here came to, and what the sheet should say where they leave no doubt. */
export function HeldTable({ held, catalogue, supplies, version, region }: Props) {
  const { run, pending, refusal, isDone } = useAction()
  if (held.length === 0)
    return <p className="text-ink-soft">Nothing yet: it is told from inspections at visits.</p>
  const months = (count: number) => number(region, count, Number.isInteger(count) ? 0 : 1)
  const correct = (productId: string, lifeMonths: number) =>
    run(keepProducts, {
      version,
      catalogue: catalogue.map((each) => (each.id === productId ? { ...each, lifeMonths } : each)),
      supplies: [...supplies],
    })
  return (
    <div>
      <table className="w-full text-[15px]">
        <thead>
          <tr className="border-b border-line text-left">
            <th className="py-1.5 font-semibold">Coating</th>
            <th className="font-semibold">Sheet, months</th>
            <th className="font-semibold">Holds here</th>
            <th className="font-semibold">From</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {held.map(({ products, surface, sheetMonths, nowMonths, pooled, proposed, byUse, byPaint }) => {
            const foreseen = foreseenText(region, sheetMonths, pooled)
            const name = products.map((product) => product.name).join(', then ')
            return (
              <tr key={`${surface} ${name}`} className="border-b border-line align-top">
                <td className="py-2">
                  <strong>{name}</strong>
                  <span className="block text-sm text-ink-soft">{surfaceName(surface)}</span>
                </td>
                <td className="py-2">
                  {months(sheetMonths)}
                  {nowMonths !== undefined && (
                    <span className="block text-sm text-ink-soft">now {months(nowMonths)}</span>
                  )}
                </td>
                <td className="py-2">
                  {heldText(region, sheetMonths, pooled)}
                  {foreseen && <span className="block text-sm text-ink-soft">{foreseen}</span>}
                  {[
                    ...byUse.map(({ storage, pooled: own }) => ({ as: STORAGE_NAME[storage], own })),
                    ...byPaint.map(({ paint, pooled: own }) => ({ as: PAINT_SYSTEM_GUIDE[paint].name, own })),
                  ].map(({ as, own }) => (
                    <span key={as} className="block text-sm text-ink-soft">
                      {as}: {heldText(region, sheetMonths, own)}, {number(region, own.cars)}{' '}
                      {own.cars === 1 ? 'car' : 'cars'}
                    </span>
                  ))}
                </td>
                <td className="py-2 text-ink-soft">{carsText(region, pooled)}</td>
                <td className="py-1 text-right">
                  {proposed && !isDone && (
                    <Button
                      look="outline"
                      disabled={pending}
                      onClick={() => correct(proposed.productId, proposed.months)}
                    >
                      Put {number(region, proposed.months)} months on the sheet
                    </Button>
                  )}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      {isDone && (
        <p role="status" className="mt-2">
          The sheet is changed. What was applied before goes on by the old one.
        </p>
      )}
      {refusal && (
        <p role="alert" className="mt-2 text-copper">
          {refusal.message}
        </p>
      )}
      <p className="mt-2 max-w-prose text-sm text-ink-soft">
        For cars in mild use. The band holds the truth eight times in ten; it narrows with every car that is
        looked at.
      </p>
    </div>
  )
}
