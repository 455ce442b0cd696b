import Holidays from 'date-holidays'
import { isLocalDay, type LocalDay, plusDays } from '@/core/time'

/** Public holidays, from the data of the package date-holidays, which ships with the app. */

export type Area = { code: string; name: string }
export type Holiday = { day: LocalDay; name: string }

const named = (found: Record<string, string> | undefined): Area[] =>
  Object.entries(found ?? {})
    .map(([code, name]) => ({ code, name }))
    .toSorted((a, b) => a.name.localeCompare(b.name, 'en'))

/** Countries whose holidays are known, by ISO 3166-1 code. */
export const countries = (): Area[] => named(new Holidays().getCountries('en'))

/** Parts of a country that have holidays of their own. */
export const statesOf = (country: string): Area[] => named(new Holidays().getStates(country, 'en'))

const dayOf = (date: string) => {
  const day = date.slice(0, 10)
  if (!isLocalDay(day)) throw new Error(`${date} is no day`)
  return day
}

/** Every day of a holiday; one from sunset to sunset counts as the day it ends on. */
function daysOf({ date, start, end }: { date: string; start: Date; end: Date }): LocalDay[] {
  const length = Math.max(1, Math.round((end.getTime() - start.getTime()) / 86_400_000))
  const first = dayOf(date)
  return Array.from({ length }, (_, at) => plusDays(first, at))
}

/** Public holidays of a country, or of a part of it, from one day to another, in order; a day with two names has both. */
export function publicHolidays(country: string, state: string, from: LocalDay, until: LocalDay): Holiday[] {
  const calendar = state ? new Holidays(country, state) : new Holidays(country)
  // In the country's own English where it has one: a Labor Day, not a Labour Day.
  const english = calendar.getLanguages().find((language) => language.startsWith('en')) ?? 'en'
  const names = new Map<LocalDay, string[]>()
  for (let year = Number(from.slice(0, 4)); year <= Number(until.slice(0, 4)); year++)
    for (const each of calendar.getHolidays(year, english) ?? [])
      if (each.type === 'public')
        for (const day of daysOf(each))
          if (day >= from && day <= until) names.set(day, [...(names.get(day) ?? []), each.name])
  return [...names]
    .map(([day, called]) => ({ day, name: [...new Set(called)].join(', ') }))
    .toSorted((a, b) => (a.day < b.day ? -1 : 1))
}
