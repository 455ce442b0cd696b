import { capfuls, lanceBottle, panelShare, pourFor } from '@/core/wash'
import { lanceErrorText } from '@/text/en/wash'
import type { Command } from '../command'
import { BadInput, numberOption, readArguments } from '../input'
import { PLAIN } from '../region'

const TEXT = { type: 'string' } as const

function positive(values: Record<string, string | undefined>, name: string, otherwise?: number): number {
  const value = numberOption(values, name, otherwise)
  if (!(value > 0)) throw new BadInput([`--${name}: write a number above 0.`])
  return value
}

const DILUTE_USAGE = 'dilute --ratio N (of 1:N) --total ML [--cap ML]'

/** What to pour for a vessel: 1:N is one part of product to N of water. */
export const dilute: Command = {
  usage: DILUTE_USAGE,
  run(args) {
    const { values } = readArguments(
      args,
      { ratio: TEXT, total: TEXT, cap: TEXT },
      { count: 0, usage: DILUTE_USAGE },
    )
    const pour = pourFor(positive(values, 'total'), positive(values, 'ratio'))
    const cap = values.cap === undefined ? {} : { capfuls: capfuls(pour.productMl, positive(values, 'cap')) }
    return { json: { ...pour, ...cap }, exitCode: 0 }
  },
}

const LANCE_USAGE = 'lance --bottle ML --seconds S --flow L/MIN (--panel PERCENT | --product ML)'

/** The bottle of a foam lance from what is to land on the panel, or what lands there from the bottle. */
export const lance: Command = {
  usage: LANCE_USAGE,
  run(args) {
    const options = { bottle: TEXT, seconds: TEXT, flow: TEXT, panel: TEXT, product: TEXT }
    const { values } = readArguments(args, options, { count: 0, usage: LANCE_USAGE })
    const bottleMl = positive(values, 'bottle')
    const own = { bottleMl, emptySeconds: positive(values, 'seconds'), flowLPerMin: positive(values, 'flow') }
    if ((values.panel === undefined) === (values.product === undefined))
      throw new BadInput(['give either --panel or --product.', `Usage: ${LANCE_USAGE}`])
    if (values.product !== undefined) {
      const productMl = positive(values, 'product')
      if (productMl > bottleMl) throw new BadInput(['--product: more than the bottle holds.'])
      return { json: { panelPercent: 100 * panelShare(own, productMl / bottleMl) }, exitCode: 0 }
    }
    const bottle = lanceBottle(own, positive(values, 'panel') / 100)
    if (!bottle.ok) throw new BadInput([lanceErrorText(PLAIN, bottle.error)])
    return { json: bottle.value, exitCode: 0 }
  },
}
