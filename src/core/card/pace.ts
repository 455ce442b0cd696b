/** How fast the work really goes, and when it should be done. */

/** The plan weighs as much as this many sections really worked (mem): one slow square is not yet a slow day. */
const PLAN_WEIGHT_SECTIONS = 4
/** The pad is cleaned after every second section (common practice). */
export const SECTIONS_PER_CLEANING = 2
/** Sections after which a pad is hot and loaded: two to three a car of some thirty (common practice). */
export const SECTIONS_PER_PAD = 12

export type Pace = {
  minutesPerSection: number
  plannedPerSection: number
  minutesLeft: number
}

/**
 * Minutes a section takes and what is left: the planned pace, moved towards the real one as sections are worked. Undefined
 * where there are no sections.
 */
export function paceOf(work: {
  sectionsTotal: number
  sectionsDone: number
  workedMinutes: number
  plannedMinutes: number
}): Pace | undefined {
  const { sectionsTotal, sectionsDone, workedMinutes, plannedMinutes } = work
  if (sectionsTotal <= 0) return undefined
  const plannedPerSection = plannedMinutes / sectionsTotal
  // Begun and nothing ticked: the first section is simply not done yet.
  const seen = sectionsDone > 0 ? workedMinutes : 0
  const minutesPerSection =
    (PLAN_WEIGHT_SECTIONS * plannedPerSection + seen) / (PLAN_WEIGHT_SECTIONS + sectionsDone)
  return {
    minutesPerSection,
    plannedPerSection,
    minutesLeft: Math.max(0, sectionsTotal - sectionsDone) * minutesPerSection,
  }
}

export type PadState = 'good' | 'clean-it' | 'change-it'

/** What the pad needs. */
export function padState({
  sinceCleaned,
  sinceFresh,
}: {
  sinceCleaned: number
  sinceFresh: number
}): PadState {
  if (sinceFresh >= SECTIONS_PER_PAD) return 'change-it'
  return sinceCleaned >= SECTIONS_PER_CLEANING ? 'clean-it' : 'good'
}
