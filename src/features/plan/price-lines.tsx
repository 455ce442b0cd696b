import { type PriceLine, TRADE_NAME } from '@/core/offer'
import type { Region } from '@/core/region'
import { unreachable } from '@/core/result'
import { duration, measured, money, percent } from '@/text/formats'

const SKILL_NAME = { prep: 'Preparation', correct: 'Correction', coat: 'Coating' } as const

export function lineText(region: Region, line: PriceLine): string {
  switch (line.kind) {
    case 'labour':
      return `${SKILL_NAME[line.skill]}, ${duration(region, line.minutes)}`
    case 'product':
      return `${line.name}, ${measured(region, 'volume', line.ml)}`
    case 'consumables':
      return 'Pads, towels, tape'
    case 'extra':
      return `${line.name}${line.count > 1 ? ` × ${line.count}` : ''}, ${duration(region, line.minutes)}`
    case 'vendor':
      return `${TRADE_NAME[line.trade]} by ${line.name}`
    case 'discount':
      return `Discount ${percent(region, line.percent)}`
    default:
      return unreachable(line)
  }
}

type Props = {
  lines: readonly PriceLine[]
  netCents: number
  taxCents: number
  taxPercent: number
  totalCents: number
  region: Region
}

/** A price with every line it is made of. */
export function PriceLines({ lines, netCents, taxCents, taxPercent, totalCents, region }: Props) {
  const rows: [string, number][] = [
    ...lines.map((line): [string, number] => [lineText(region, line), line.cents]),
    ['Before tax', netCents],
    [`Tax ${percent(region, taxPercent)}`, taxCents],
    ['Total', totalCents],
  ]
  return (
    <table className="w-full text-[15px]">
      <tbody>
        {rows.map(([name, cents], index) => (
          <tr key={name} className={index >= lines.length ? 'border-t border-line font-semibold' : ''}>
            <td className="py-0.5">{name}</td>
            <td className="py-0.5 text-right">{money(region, cents)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
