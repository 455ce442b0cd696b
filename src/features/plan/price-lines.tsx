import { type PriceLine, TRADE_NAME } from '@/core/offer'
import { unreachable } from '@/core/result'
import { duration, money } from '@/ui/when'

const SKILL_NAME = { prep: 'Preparation', correct: 'Correction', coat: 'Coating' } as const

export function lineText(line: PriceLine): string {
  switch (line.kind) {
    case 'labour':
      return `${SKILL_NAME[line.skill]}, ${duration(line.minutes)}`
    case 'product':
      return `${line.name}, ${line.ml} ml`
    case 'consumables':
      return 'Pads, towels, tape'
    case 'extra':
      return `${line.name}${line.count > 1 ? ` × ${line.count}` : ''}, ${duration(line.minutes)}`
    case 'vendor':
      return `${TRADE_NAME[line.trade]} by ${line.name}`
    case 'discount':
      return `Discount ${line.percent} %`
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
  currency: string
}

/** A price with every line it is made of. */
export function PriceLines({ lines, netCents, taxCents, taxPercent, totalCents, currency }: Props) {
  const rows: [string, number][] = [
    ...lines.map((line): [string, number] => [lineText(line), line.cents]),
    ['Before tax', netCents],
    [`Tax ${taxPercent} %`, taxCents],
    ['Total', totalCents],
  ]
  return (
    <table className="w-full text-[15px]">
      <tbody>
        {rows.map(([name, cents], index) => (
          <tr key={name} className={index >= lines.length ? 'border-t border-line font-semibold' : ''}>
            <td className="py-0.5">{name}</td>
            <td className="py-0.5 text-right">{money(currency, cents)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
