import type { LaidProduct, Product } from '../coating'
import { dayIn, type Instant, type LocalDay, plusDays, plusMinutes, plusMonths } from '../time'
import { VISIT_WINDOW_DAYS } from './rhythm'

/** One date of the weeks after the coating. Holds are instants, habits are days. */
export type Milestone = {
  key:
    | 'dry-until'
    | 'indoors-until'
    | 'first-wash'
    | 'topper-from'
    | 'full-cure'
    | 'first-visit'
    | 'wheel-check'
  when: { kind: 'instant'; at: Instant } | { kind: 'day'; day: LocalDay; until?: LocalDay }
  /** What must not be touched or done before, as against what may be done from then on. */
  hold: boolean
}

/** Whether a date is still to come where the shop stands; a day that has begun there is no longer ahead. */
export function isAhead({ when }: Pick<Milestone, 'when'>, now: Instant, zone: string): boolean {
  return when.kind === 'instant' ? when.at > now : when.day > dayIn(zone, now)
}

/** A layer that was really applied: what, and when its last section was levelled. */
export type LaidLayer = { product: Product; ended: Instant }

/** What a second layer of a single coating adds to its life, of it (common practice: two layers 18 to 24 months where one gives 12). */
const SECOND_LAYER_SHARE = 0.75
/** A third and every further one adds this much of what the one before it added (mem). */
const FADES = 0.5

/**
 * Months the layers on one part should last together: those of the longest-lived, since a top coat shields what is under it.
 * Throws without layers.
 */
export function lifeMonthsOf(layers: readonly LaidProduct[]): number {
  if (layers.length === 0) throw new Error('a life needs at least one layer')
  const longest = layers.reduce((most, layer) => (layer.lifeMonths > most.lifeMonths ? layer : most))
  const further = longest.kind === 'single' ? layers.filter(({ id }) => id === longest.id).length - 1 : 0
  return longest.lifeMonths * (1 + (SECOND_LAYER_SHARE * (1 - FADES ** further)) / (1 - FADES))
}

/** Wheel nuts are checked again after 50 to 100 km (common practice): a week of an ordinary car. */
const WHEEL_CHECK_DAYS = 7

/** When the nuts of wheels that were off are to be checked again, from when the car drives. */
export function wheelCheck(drives: Instant, zone: string): Milestone {
  const day = dayIn(zone, drives)
  return {
    key: 'wheel-check',
    when: { kind: 'day', day: plusDays(day, 1), until: plusDays(day, WHEEL_CHECK_DAYS) },
    hold: false,
  }
}

function latest(layers: readonly LaidLayer[], minutesOf: (product: Product) => number): Instant {
  return layers
    .map(({ product, ended }) => plusMinutes(ended, minutesOf(product)))
    .reduce((a, b) => (a > b ? a : b))
}

/**
 * The cure calendar from the layers as they were applied. Holds run in elapsed time from each layer and the latest
 * rules, so a change of the clocks shortens none; days are counted on the shop's calendar in `zone`. Throws
 * without layers. Durations come from the products (common practice: 24 h dry, no wash for 3 to 7 days, full cure
 * in up to 30 days).
 */
export function careMilestones(layers: readonly LaidLayer[], zone: string): Milestone[] {
  if (layers.length === 0) throw new Error('a cure calendar needs at least one layer')
  const dayAfter = (days: (product: Product) => number) =>
    layers
      .map(({ product, ended }) => plusDays(dayIn(zone, ended), days(product)))
      .reduce((a, b) => (a > b ? a : b))
  const dry = latest(layers, (product) => product.dryHoldMinutes)
  const indoors = latest(layers, (product) => product.indoorHoldMinutes)
  const topper = latest(layers, (product) => product.topperFromMinutes)
  const lastDay = dayAfter(() => 0)
  const visit = plusMonths(lastDay, Math.min(...layers.map(({ product }) => product.firstVisitMonths)))
  return [
    {
      key: 'indoors-until',
      when: { kind: 'instant', at: indoors },
      hold: true,
    },
    {
      key: 'dry-until',
      when: { kind: 'instant', at: dry },
      hold: true,
    },
    {
      key: 'topper-from',
      when: { kind: 'instant', at: topper },
      hold: false,
    },
    {
      key: 'first-wash',
      when: { kind: 'day', day: dayAfter((product) => product.firstWashDays) },
      hold: false,
    },
    {
      key: 'full-cure',
      when: { kind: 'day', day: dayAfter((product) => product.fullCureDays) },
      hold: false,
    },
    // A topper alone asks for no visit of its own.
    ...(layers.every(({ product }) => product.kind === 'topper')
      ? []
      : [
          {
            key: 'first-visit' as const,
            when: { kind: 'day' as const, day: visit, until: plusDays(visit, VISIT_WINDOW_DAYS) },
            hold: false,
          },
        ]),
  ]
}
