import { type ClimateError, dewVerdict } from '@/core/climate'
import type { Command } from '../command'
import { BadInput, numberOption, readArguments } from '../input'

const USAGE = 'dew --temp °C --rh % --surface °C'

const WORDS: Record<ClimateError['code'], string> = {
  'temperature-out-of-range': 'a temperature must lie between -40 and 60 °C.',
  'humidity-out-of-range': 'the relative humidity must lie above 0 and up to 100 %.',
}

/** Dew point and whether the surface is far enough above it (ISO 8502-4). */
export const dew: Command = {
  usage: USAGE,
  run(args) {
    const options = { temp: { type: 'string' }, rh: { type: 'string' }, surface: { type: 'string' } } as const
    const { values } = readArguments(args, options, { count: 0, usage: USAGE })
    const airC = numberOption(values, 'temp')
    const verdict = dewVerdict({
      airC,
      rhPercent: numberOption(values, 'rh'),
      panelC: numberOption(values, 'surface', airC),
    })
    if (!verdict.ok) throw new BadInput([WORDS[verdict.error.code]])
    return { json: verdict.value, exitCode: 0 }
  },
}
