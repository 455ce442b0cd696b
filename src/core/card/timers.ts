import type { OperationKind } from '../offer'
import { type Supply, type SupplyKind, supplyFor } from '../supply'
import { type Instant, minutesBetween } from '../time'
import type { PlannedStep, WashStepId } from '../wash'
import type { Timer } from './state'

export const TIMER_LABELS = [
  'foam',
  'acid',
  'iron',
  'wheels',
  'tyres',
  'soak',
  'tar',
  'mineral',
  'pre-spray',
  'all-in-one',
  'flash',
  'level',
  'dwell',
] as const
export type TimerLabel = (typeof TIMER_LABELS)[number]

/** A wait one may start by touch. The seconds are a beginning; the look of the thing decides. */
export type TimerPreset = { label: TimerLabel; seconds: number; source: 'cp' | 'mem' | 'sheet' }

const minutes = (count: number) => count * 60

/** What is timed at a step, by what kind of step it is. */
export const TIMER_PRESETS: Record<OperationKind, readonly TimerPreset[]> = {
  wash: [
    { label: 'foam', seconds: minutes(4), source: 'cp' },
    {
      label: 'acid',
      seconds: minutes(2),
      source: 'cp',
    },
    {
      label: 'iron',
      seconds: minutes(2),
      source: 'cp',
    },
  ],
  mask: [],
  cut: [],
  refine: [],
  // An all-in-one is timed where it is used.
  polish: [],
  wipe: [],
  surface: [{ label: 'flash', seconds: 90, source: 'mem' }],
  layer: [{ label: 'level', seconds: 30, source: 'cp' }],
  extra: [{ label: 'dwell', seconds: minutes(3), source: 'mem' }],
  vendor: [],
  look: [],
  hold: [],
  finish: [],
}

/** What is timed at each step of a wash plan. */
const OF_WASH: Partial<Record<WashStepId, TimerLabel>> = {
  wheels: 'wheels',
  'acid-wheels': 'acid',
  tyres: 'tyres',
  'pre-soak': 'soak',
  foam: 'foam',
  'rinseless-pre-spray': 'pre-spray',
  iron: 'iron',
  'rinseless-iron': 'iron',
  tar: 'tar',
  mineral: 'mineral',
}

/** What a wash that nobody planned may want timed, and what stands that long. */
const OF_ANY_WASH = {
  foam: 'foam',
  acid: 'acid-wheel-cleaner',
  iron: 'iron-remover',
} as const satisfies Partial<Record<TimerLabel, SupplyKind>>

/** Minutes that what the shop pours may stand on a car before one looks, as its sheets say. */
export type WashStands = Readonly<Partial<Record<keyof typeof OF_ANY_WASH, number>>>

export function washStands(supplies: readonly Supply[]): WashStands {
  return Object.fromEntries(
    Object.entries(OF_ANY_WASH).flatMap(([label, kind]) => {
      const { dwell } = supplyFor(supplies, kind)
      return dwell ? [[label, dwell.minMinutes || dwell.maxMinutes]] : []
    }),
  )
}

/** What of a step’s sheet is timed; seconds of flash at the air of the bay. */
export type TimedSheet = {
  setMinutes?: number
  standsMinutes?: WashStands
  coat?: { flash: { min: number; max: number } }
}

/**
 * What is timed at a step. A planned wash times what it has planned and nothing else, for as short a time as the sheet of its
 * product says: then one looks.
 */
export function timersFor(
  kind: OperationKind,
  wash: readonly PlannedStep[],
  sheet: TimedSheet = {},
): readonly TimerPreset[] {
  if (sheet.setMinutes !== undefined)
    return [{ label: 'all-in-one', seconds: minutes(sheet.setMinutes), source: 'sheet' }]
  const flashes = kind === 'surface' || kind === 'layer'
  if (flashes && sheet.coat)
    return TIMER_PRESETS[kind].map((preset) => ({
      ...preset,
      seconds: Math.round(sheet.coat!.flash.min || sheet.coat!.flash.max),
      source: 'sheet',
    }))
  if (kind !== 'wash') return TIMER_PRESETS[kind]
  if (wash.length === 0)
    return TIMER_PRESETS.wash.map((preset) => {
      const stands = sheet.standsMinutes?.[preset.label as keyof WashStands]
      return stands === undefined ? preset : { ...preset, seconds: minutes(stands), source: 'sheet' }
    })
  return wash.flatMap(({ id, dwell }) => {
    const label = OF_WASH[id]
    return label && dwell
      ? [{ label, seconds: minutes(dwell.minMinutes || dwell.maxMinutes), source: 'sheet' as const }]
      : []
  })
}

/** Seconds a timer has still to run; below 0 it is over by so many. */
export function secondsLeft({ began, seconds }: Pick<Timer, 'began' | 'seconds'>, now: Instant): number {
  return seconds - minutesBetween(began, now) * 60
}

export type TimerState = 'running' | 'over' | 'off'

export function timerState(timer: Timer, now: Instant): TimerState {
  if (timer.off) return 'off'
  return secondsLeft(timer, now) > 0 ? 'running' : 'over'
}

/** `4:05`, `1:02:30`, and `+0:20` once it is over. Whole seconds; what is left is rounded up. */
export function timerText(left: number): string {
  const whole = Math.abs(left > 0 ? Math.ceil(left) : Math.floor(left))
  const [hours, rest] = [Math.floor(whole / 3600), whole % 3600]
  const [mins, secs] = [Math.floor(rest / 60), rest % 60]
  const two = (value: number) => String(value).padStart(2, '0')
  const text = hours > 0 ? `${hours}:${two(mins)}:${two(secs)}` : `${mins}:${two(secs)}`
  return left > 0 || whole === 0 ? text : `+${text}`
}

/** Where a panel applied wet stands: too soon to level, just right, or past it. Seconds since it was applied. */
export type FlashState =
  | { kind: 'wait'; secondsLeft: number }
  | { kind: 'level-now'; secondsLeft: number }
  | { kind: 'late'; secondsOver: number }

export function flashState(wetSince: Instant, band: { min: number; max: number }, now: Instant): FlashState {
  const since = minutesBetween(wetSince, now) * 60
  if (since < band.min) return { kind: 'wait', secondsLeft: band.min - since }
  if (since <= band.max) return { kind: 'level-now', secondsLeft: band.max - since }
  return { kind: 'late', secondsOver: since - band.max }
}
