import { windowState } from '@/core/coating'
import type { PersonId } from '@/core/ids'
import type { Region } from '@/core/region'
import { unreachable } from '@/core/result'
import type { Instant } from '@/core/time'
import { stepTitle } from '@/text/en/step-names'
import { moment } from '@/text/formats'
import { windowText } from '../window-text'
import type { WaitsFor } from './yard-view'

type Words = { region: Region; now: Instant; nameOf: (person: PersonId) => string }

const list = (names: readonly string[]) => names.join(' and ')

/** What a car waits for, in two short lines: the thing, and until when. */
export function waitsText(
  waits: WaitsFor,
  { region, now, nameOf }: Words,
): { what: string; until: string; hold: boolean } {
  const at = (instant: Instant) => moment(region, instant, now)
  const by = (people: readonly PersonId[]) => (people.length > 0 ? `${list(people.map(nameOf))}, ` : '')
  switch (waits.kind) {
    case 'reading':
      return { what: 'Needs paint readings', until: 'Measure the paint', hold: false }
    case 'choice':
      return { what: 'No package agreed', until: 'Contact the customer', hold: false }
    case 'look':
      return { what: 'Needs inspection', until: 'Log the visit', hold: false }
    case 'arrival':
      return { what: 'Not here yet', until: `Comes ${at(waits.at)}`, hold: false }
    case 'put-off':
      return { what: 'Did not come', until: `Off the calendar since ${at(waits.since)}`, hold: false }
    case 'work':
      return {
        what: stepTitle(region, waits.operation.title),
        until: waits.overdue
          ? `${by(waits.by)}was due by ${at(waits.until)}`
          : `${by(waits.by)}until about ${at(waits.until)}`,
        hold: false,
      }
    case 'hold':
      return {
        what: `${stepTitle(region, waits.operation.title)}: do not touch`,
        until: `Until ${at(waits.until)}`,
        hold: true,
      }
    case 'next': {
      const planned = waits.from
        ? `${by(waits.by)}${waits.overdue ? 'was due' : 'from'} ${at(waits.from)}`
        : 'Not planned yet'
      const missed = waits.window && windowState(waits.window, now).kind === 'missed'
      return {
        what: `Next: ${stepTitle(region, waits.operation.title)}`,
        until: missed ? windowText(waits.window!, { region, now }) : planned,
        hold: waits.window !== undefined,
      }
    }
    case 'collection':
      return { what: 'Ready', until: `Collection ${at(waits.at)}`, hold: false }
    default:
      return unreachable(waits)
  }
}
