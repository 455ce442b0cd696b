import type { JobId, VehicleId } from '../ids'
import { type LocalDay, localDayOrThrow, plusDays } from '../time'
import type { Occasion } from './occasion'

/** What is known of a car when one asks whom to write to today. */
export type DueSubject = {
  vehicleId: VehicleId
  /** A coating that went home lately. */
  fresh?: { jobId: JobId; homeOn: LocalDay; dryOn: LocalDay; firstWash: LocalDay }
  visit?: { from: LocalDay; until: LocalDay }
  /** It is on the calendar, or here: nobody is asked to come. */
  booked: boolean
  guaranteeUntil?: LocalDay
  /** The day by which its coating has probably worn off, and the day it was applied. */
  goneBy?: LocalDay
  laidOn?: LocalDay
}

export type Season = { from: number; to: number }
export type Seasons = { frost: Season; pollen: Season }

/**
 * A message that is worth sending between two days. Its key says what it is about: of two with one key only one is ever
 * sent, however often one asks.
 */
export type DueMessage = {
  key: string
  occasion: Occasion
  vehicleId: VehicleId
  from: LocalDay
  until: LocalDay
  /** What it speaks of. */
  facts: { from?: LocalDay; until?: LocalDay; guaranteed?: boolean }
}

/** Days, remembered. */
const BEFORE_VISIT = 14
const AFTER_VISIT = { from: 7, until: 60 }
const BEFORE_LAPSE = 42
const WASH_WORTH = 10
const SEASON_WORTH = 21
const RENEWAL_WORTH = 90

type Rule = { occasion: Occasion; due: (car: DueSubject) => Found | undefined }
type Found = Omit<DueMessage, 'occasion' | 'vehicleId'>

/** The day a season begins this year. */
const opening = (today: LocalDay, { from }: Season) =>
  localDayOrThrow(`${today.slice(0, 4)}-${String(from).padStart(2, '0')}-01`)

/** A guarantee that ends before the visit is due does not hang on it. */
const isGuaranteed = ({ from }: { from: LocalDay }, until: LocalDay | undefined) =>
  until !== undefined && until > from

const RULES: readonly Rule[] = [
  {
    occasion: 'curing',
    due: ({ fresh }) =>
      fresh && {
        key: `curing:${fresh.jobId}`,
        from: fresh.homeOn,
        // Once it may get wet, the next word is about the first wash.
        until: fresh.dryOn > fresh.homeOn ? fresh.dryOn : fresh.homeOn,
        facts: { from: fresh.dryOn, until: fresh.firstWash },
      },
  },
  {
    occasion: 'first-wash',
    due: ({ fresh }) =>
      fresh && {
        key: `first-wash:${fresh.jobId}`,
        from: fresh.firstWash,
        until: plusDays(fresh.firstWash, WASH_WORTH),
        facts: { from: fresh.firstWash },
      },
  },
  {
    occasion: 'visit-due',
    due: ({ visit, booked, vehicleId, guaranteeUntil }) =>
      visit && !booked
        ? {
            key: `visit-due:${vehicleId}:${visit.from}`,
            from: plusDays(visit.from, -BEFORE_VISIT),
            until: visit.until,
            facts: { ...visit, guaranteed: isGuaranteed(visit, guaranteeUntil) },
          }
        : undefined,
  },
  {
    occasion: 'visit-overdue',
    due: ({ visit, booked, vehicleId, guaranteeUntil }) =>
      visit && !booked
        ? {
            key: `visit-overdue:${vehicleId}:${visit.from}`,
            from: plusDays(visit.until, AFTER_VISIT.from),
            until: plusDays(visit.until, AFTER_VISIT.until),
            facts: { ...visit, guaranteed: isGuaranteed(visit, guaranteeUntil) },
          }
        : undefined,
  },
  {
    occasion: 'guarantee-lapses',
    due: ({ guaranteeUntil, vehicleId }) =>
      guaranteeUntil && {
        key: `guarantee-lapses:${vehicleId}:${guaranteeUntil}`,
        from: plusDays(guaranteeUntil, -BEFORE_LAPSE),
        until: guaranteeUntil,
        facts: { until: guaranteeUntil },
      },
  },
  {
    occasion: 'renewal',
    due: ({ goneBy, laidOn, booked, vehicleId }) =>
      goneBy && laidOn && !booked
        ? {
            key: `renewal:${vehicleId}:${laidOn}`,
            from: goneBy,
            until: plusDays(goneBy, RENEWAL_WORTH),
            facts: {},
          }
        : undefined,
  },
]

/** Days within which something of a car must lie for anything to be due today: lists of thousands are narrowed by it. */
export function dueReach(today: LocalDay) {
  return {
    visitFromUpTo: plusDays(today, BEFORE_VISIT),
    visitUntilFrom: plusDays(today, -AFTER_VISIT.until),
    lapsesUpTo: plusDays(today, BEFORE_LAPSE),
    goneFrom: plusDays(today, -RENEWAL_WORTH),
  }
}

/** What is worth writing about this car on this day, apart from the seasons. */
export function dueMessages(car: DueSubject, today: LocalDay): DueMessage[] {
  return RULES.flatMap(({ occasion, due }): DueMessage[] => {
    const found = due(car)
    return found && found.from <= today && today <= found.until
      ? [{ ...found, occasion, vehicleId: car.vehicleId }]
      : []
  })
}

export type SeasonOpening = { occasion: Occasion; from: LocalDay; until: LocalDay }

/** The seasons that have begun lately: whoever has a coat on the car is told of them. */
export function openSeasons(today: LocalDay, { frost, pollen }: Seasons): SeasonOpening[] {
  const seasons = [
    { occasion: 'frost-and-salt', from: opening(today, frost) },
    { occasion: 'pollen', from: opening(today, pollen) },
  ] as const
  return seasons
    .map((season) => ({ ...season, until: plusDays(season.from, SEASON_WORTH) }))
    .filter(({ from, until }) => from <= today && today <= until)
}

/** Word of a season about one car: once a year. */
export function seasonMessage(vehicleId: VehicleId, { occasion, from, until }: SeasonOpening): DueMessage {
  return { key: `${occasion}:${vehicleId}:${from}`, occasion, vehicleId, from, until, facts: {} }
}
