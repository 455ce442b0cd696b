import type { EquipmentKind } from '@/core/planning'
import type { Region } from '@/core/region'
import { unreachable } from '@/core/result'
import {
  type Bought,
  type Busier,
  type Compared,
  type Figure,
  leaning,
  type ShopChange,
} from '@/core/what-if'
import { duration, money, number, percent } from '../formats'

/** Changes of the shop that are tried, and what they would buy, in words. */

export const MORE_EQUIPMENT: Record<EquipmentKind, string> = {
  lift: 'One more lift',
  stands: 'One more set of stands',
  lamp: 'One more inspection lamp',
  extractor: 'One more extractor',
}

const moved = (region: Region, what: string, minutes: number): string[] =>
  minutes === 0 ? [] : [`${what} ${duration(region, Math.abs(minutes))} ${minutes < 0 ? 'earlier' : 'later'}`]

/** A change as it is spoken of; `about` is what of the shop it is about. */
export function changeName(region: Region, change: ShopChange, about: string): string {
  switch (change.kind) {
    case 'person':
      return `One more person like ${about}`
    case 'saturdays':
      return `${about} on Saturdays too`
    case 'hours':
      return `${about} ${[
        ...moved(region, 'begins', change.begins),
        ...moved(region, 'leaves', change.leaves),
      ].join(' and ')}`
    case 'bay':
      return `One more bay like ${about}`
    case 'equipment':
      return MORE_EQUIPMENT[change.what]
    case 'dropped':
      return `${about} no longer sold`
    default:
      return unreachable(change)
  }
}

const DEMAND: Record<Busier, string> = {
  1: 'as in the past year',
  1.5: 'half as much again',
  2: 'twice as much',
  3: 'three times as much',
  5: 'five times as much',
}
export const demandText = (busier: Busier): string => DEMAND[busier]

export const FIGURE_NAME: Record<Figure, string> = {
  kept: 'Promises kept',
  days: 'Days until a car is done',
  carsPerWeek: 'Cars a week',
  centsPerBayHour: 'Earned by the bay hour',
  lateHours: 'Hours late in a week',
}

export function figureText(region: Region, figure: Figure, value: number): string {
  switch (figure) {
    case 'kept':
      return percent(region, 100 * value)
    case 'centsPerBayHour':
      return money(region, Math.round(value))
    case 'days':
    case 'carsPerWeek':
    case 'lateHours':
      return number(region, value, 1)
    default:
      return unreachable(figure)
  }
}

/** Of these, less is better. */
const LESS_IS_BETTER: readonly Figure[] = ['days', 'lateHours']

export type Verdict = 'better' | 'worse' | 'same'

/** Whether a change makes a figure better; the same where it is neither in eight runs of ten. */
export function verdictOf(figure: Figure, found: Pick<Compared, 'difference'>): Verdict {
  const way = leaning(found)
  if (way === 'same') return 'same'
  return (way === 'down') === LESS_IS_BETTER.includes(figure) ? 'better' : 'worse'
}

export const VERDICT_NAME: Record<Verdict, string> = {
  better: 'better',
  worse: 'worse',
  same: 'no clear difference',
}

const CLEAR: Record<Figure, Record<'better' | 'worse', string>> = {
  kept: { better: 'more promises are kept', worse: 'fewer promises are kept' },
  days: { better: 'cars are done sooner', worse: 'cars are done later' },
  carsPerWeek: { better: 'more cars are done', worse: 'fewer cars are done' },
  centsPerBayHour: { better: 'an hour in a bay earns more', worse: 'an hour in a bay earns less' },
  lateHours: { better: 'cars are less late', worse: 'cars are later when they are late' },
}

/** What clearly differs, in one sentence; that nothing does, where nothing does. */
export function differenceText(figures: Record<Figure, Compared>): string {
  const clear = (Object.keys(CLEAR) as Figure[]).flatMap((figure) => {
    const verdict = verdictOf(figure, figures[figure])
    return verdict === 'same' ? [] : [CLEAR[figure][verdict]]
  })
  if (clear.length === 0) return 'No difference that could be told from luck.'
  const all = clear.length === 1 ? clear[0]! : `${clear.slice(0, -1).join(', ')} and ${clear.at(-1)}`
  return `${all.charAt(0).toUpperCase()}${all.slice(1)}.`
}

/** What one more car a week leaves before wages, by the year as it was, cents; 0 where none came. */
const leftPerCar = ({ figures, leftCentsPerWeek }: NonNullable<Bought['year']>): number => {
  const cars = figures.carsPerWeek.before.mean
  return cars > 0 ? leftCentsPerWeek.before.mean / cars : 0
}

/** Whether a change pays for itself in the year that was replayed: what it costs and what it brings, cents a week; whole units of money. */
export function balanceText(
  region: Region,
  year: NonNullable<Bought['year']>,
  weeklyCents: number,
): { brings: string; paid: string } {
  const amount = (cents: number) => money(region, Math.abs(cents))
  const gain = Math.round(year.leftCentsPerWeek.difference.mean / 100) * 100
  const cost =
    weeklyCents === 0
      ? 'It costs nothing'
      : `It ${weeklyCents < 0 ? 'saves' : 'costs'} ${amount(weeklyCents)} a week`
  const work =
    gain === 0
      ? 'brings no more work'
      : gain > 0
        ? `brings ${amount(gain)} a week more from work`
        : `loses ${amount(gain)} a week of work`
  const brings = `${cost} and ${work}.`
  const left = gain - weeklyCents
  if (left === 0) return { brings, paid: 'In money it changes nothing.' }
  if (left > 0) return { brings, paid: `It leaves ${amount(left)} a week.` }
  const car = leftPerCar(year)
  return {
    brings,
    paid:
      gain >= 0 && car > 0
        ? `It would pay for itself with ${number(region, -left / car, 1)} more cars a week than that.`
        : `It leaves ${amount(left)} a week less than now.`,
  }
}
