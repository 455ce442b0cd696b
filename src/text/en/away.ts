import type { AwayThing, StepName, Trade } from '@/core/offer'
import type { Region } from '@/core/region'
import { type Instant, minutesBetween } from '@/core/time'
import { moment } from '../formats'
import { workInEnglish } from './work'

/** What is at somebody else’s place, in the words of the yard and the card. */

const PIECE: Partial<Record<Trade, string>> = { wheels: 'Wheels' }

const vendorIn = (title: StepName) =>
  typeof title === 'object' && title.code === 'vendor' ? title : undefined

/** What leaves: the car, its wheels, or a piece of it. */
export function awayThing(title: StepName, thing: AwayThing): string {
  if (thing === 'car') return 'The car'
  const vendor = vendorIn(title)
  return (vendor && PIECE[vendor.trade]) ?? 'A piece'
}

/** Who has it, and for what. */
export function awayWith(title: StepName): string {
  const vendor = vendorIn(title)
  return vendor ? `${vendor.name}, ${workInEnglish.trade[vendor.trade]}` : 'somebody else'
}

const plural = (count: number, one: string) => `${count} ${count === 1 ? one : `${one}s`}`

/** How late something is: in days where it is a day or more, else in hours. */
export function lateBy(due: Instant, until: Instant): string {
  const minutes = minutesBetween(due, until)
  if (minutes >= 1440) return `${plural(Math.round(minutes / 1440), 'day')} late`
  return minutes >= 60 ? `${plural(Math.round(minutes / 60), 'hour')} late` : 'late'
}

/** When it comes back, and how late that is. */
export function backText(
  region: Region,
  now: Instant,
  { dueBack, firstSaid, late }: { dueBack: Instant; firstSaid?: Instant; late: boolean },
): string {
  const at = (instant: Instant) => moment(region, instant, now)
  if (late) return `was due back ${at(dueBack)}: ${lateBy(dueBack, now)}`
  return firstSaid && firstSaid < dueBack
    ? `back ${at(dueBack)}, ${lateBy(firstSaid, dueBack)}`
    : `back ${at(dueBack)}`
}
