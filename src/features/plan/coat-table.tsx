import type { CoatStep, Product } from '@/core/coating'
import type { Region } from '@/core/region'
import { surfaceName } from '@/text/en/step-names'
import { duration, figure, measured, number, percent } from '@/text/formats'

type Props = {
  region: Region
  coats: readonly CoatStep[]
  bottles: readonly { product: Product; ml: number; bottles: number }[]
}

/** The coating plan: every coat with its millilitres, when the next may follow, and what must then wait. */
export function CoatTable({ coats, bottles, region }: Props) {
  return (
    <div className="text-sm">
      <ol className="space-y-2">
        {coats.map(({ surface, product, layer, ml, next }) => (
          <li key={`${surface}-${layer}`} className="border-l-4 border-fern-soft pl-3">
            <p>
              <strong>{surface === 'paint' ? `Layer ${layer}` : surfaceName(surface)}</strong>: {product.name}
              , {measured(region, 'volume', ml)}
            </p>
            <p className="text-ink-soft">
              {next
                ? `Recoat window: ${duration(region, next.min)} to ${duration(region, next.max)}.`
                : `Keep indoors ${duration(region, product.indoorHoldMinutes)}, keep dry ${duration(region, product.dryHoldMinutes)}, first wash after ${product.firstWashDays} days, full cure ${product.fullCureDays} days.`}
            </p>
          </li>
        ))}
      </ol>
      <p className="mt-2">
        To open:{' '}
        {bottles
          .map(
            ({ product, ml, bottles: count }) =>
              `${count} × ${measured(region, 'volume', product.bottleMl)} ${product.name} (${measured(region, 'volume', ml)} needed)`,
          )
          .join('; ')}
        .
      </p>
      <p className="mt-1 text-ink-soft">
        {[...new Set(coats.map(({ product }) => product))]
          .map(
            ({ name, airC, rhPercent }) =>
              `${name}: ${figure(region, 'temperature', airC.min)}–${measured(region, 'temperature', airC.max)}, ${number(region, rhPercent.min)}–${percent(region, rhPercent.max)} humidity`,
          )
          .join('. ')}
        . Solvent fumes: the data sheet names gloves and cartridge.
      </p>
    </div>
  )
}
