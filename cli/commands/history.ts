import { readHistory } from '@/core/history'
import { takenByPanel } from '@/core/survey'
import { historyErrorText } from '@/text/en/history-file'
import type { Command } from '../command'
import { BadInput, readArguments, readText } from '../input'
import { PLAIN } from '../region'

const USAGE = 'history FILE.json'

/** What stands in the history of a vehicle: the car, its stays, and all paint ever removed by panel, µm. */
export const history: Command = {
  usage: USAGE,
  run(args) {
    const { positionals } = readArguments(args, {}, { count: 1, usage: USAGE })
    const read = readHistory(readText(positionals[0]!))
    if (!read.ok) throw new BadInput([historyErrorText(PLAIN, read.error)])
    const { vehicle, stays, ledger, shop, writtenOn } = read.value
    return {
      json: {
        shop,
        writtenOn,
        vehicle,
        stays: stays.map(({ day, kind, title, film, layers, looks }) => ({
          day,
          kind,
          title,
          filmReadings: film.reduce((sum, { values }) => sum + values.length, 0),
          layers: layers.map((layer) => ({
            product: layer.product,
            where: layer.panels?.join(', ') ?? layer.surface,
          })),
          looks: looks.length,
        })),
        takenUm: takenByPanel(ledger),
      },
      exitCode: 0,
    }
  },
}
