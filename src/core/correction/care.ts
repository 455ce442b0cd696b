import type { Step } from './method'

/** How closely the work at the machine is done. It changes the hours and what slips through, not the paint spent. */
export const CARES = ['usual', 'highest'] as const
export type Care = (typeof CARES)[number]

type CareModel = {
  /** No section is larger, m (common practice: smaller where more is asked). */
  sectionMostM: number
  /** The arm is never faster, mm/s. 25 is the speed of cutting (common practice), kept when refining too. */
  armMostMmPerSecond: number
  /** Minutes added to every section: wiped with panel wipe, looked at under two lamps, from two sides (mem). */
  extraLookMinutes: number
  /** Share of a panel that is really worked as planned; edges and the last inch slip through (mem). */
  reached: number
}

/**
 * Two ways of working. A two-step at the highest care takes about 25 h at the machine on a saloon (common practice
 * for a four-day detail); what it buys is the last few percent: two steps clear 80 to 95 %, up to 99 % so.
 */
export const CARE: Record<Care, CareModel> = {
  usual: {
    sectionMostM: 1,
    armMostMmPerSecond: 120,
    extraLookMinutes: 0,
    reached: 0.97,
  },
  highest: {
    sectionMostM: 0.45,
    armMostMmPerSecond: 25,
    extraLookMinutes: 2,
    reached: 0.995,
  },
}

/** A step as it is done under that care. What is spread and left to set is not looked at section by section: it stays as it is. */
export function underCare<S extends Pick<Step, 'handling' | 'sectionM' | 'armMmPerSecond'>>(
  step: S,
  care: Care,
): S {
  if (step.handling.wipeAndLook === 0) return step
  const { sectionMostM, armMostMmPerSecond, extraLookMinutes } = CARE[care]
  return {
    ...step,
    sectionM: Math.min(step.sectionM, sectionMostM),
    armMmPerSecond: Math.min(step.armMmPerSecond, armMostMmPerSecond),
    handling: {
      ...step.handling,
      wipeAndLook: step.handling.wipeAndLook + extraLookMinutes,
    },
  }
}
