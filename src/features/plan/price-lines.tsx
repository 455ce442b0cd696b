import type { PriceLine } from '@/core/offer'
import type { Region } from '@/core/region'
import { money } from '@/text/formats'
import { lineText, sumRows } from '@/text/quote-lines'
import { quoteWords } from '@/text/quote-words'

type Props = {
  lines: readonly PriceLine[]
  tax: Parameters<typeof sumRows>[1]
  totalCents: number
  region: Region
}

/** A price with every line it is made of. */
export function PriceLines({ lines, tax, totalCents, region }: Props) {
  const rows: [string, string][] = [
    ...lines.map((line): [string, string] => [lineText(region, line), money(region, line.cents)]),
    ...sumRows(region, tax).map(({ name, amount }): [string, string] => [name, amount]),
    [quoteWords(region).total, money(region, totalCents)],
  ]
  return (
    <table className="w-full text-[15px]">
      <tbody>
        {rows.map(([name, amount], index) => (
          <tr key={name} className={index >= lines.length ? 'border-t border-line font-semibold' : ''}>
            <td className="py-0.5">{name}</td>
            <td className="py-0.5 text-right">{amount}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
