import type { Difficulty, Panel } from '../vehicle'
import { type Care, underCare } from './care'
import type { Worked, WorkedStep } from './method'

/** Share of a pad's width that the next stroke covers again (common practice: half). */
const PAD_OVERLAP = 0.5

/** A tight panel is slower for the same area (mem). */
const DIFFICULTY_FACTOR: Record<Difficulty, number> = { flat: 1, curved: 1.15, intricate: 1.5 }

/**
 * Seconds for one pass over a square section of side `sectionM`: strokes side by side at half a pad's overlap.
 * 0.61 m, 125 mm, 25 mm/s: ten strokes of 24.4 s, 244 s (geometry).
 */
export function passSeconds(step: Pick<WorkedStep, 'sectionM' | 'padMm' | 'armMmPerSecond'>): number {
  const sectionMm = step.sectionM * 1000
  const strokes = Math.ceil(sectionMm / (step.padMm * (1 - PAD_OVERLAP)))
  return (sectionMm * strokes) / step.armMmPerSecond
}

/** Minutes of one step on one panel, and the parts they are made of. */
export type StepMinutes = {
  minutes: number
  sections: number
  changeOver: number
  machine: number
  handling: number
}

/** Minutes of a step on a panel, done with that care. */
export function stepMinutes(step: WorkedStep, panel: Panel, care: Care): StepMinutes {
  const { sectionM, passes, handling: each, ...stroke } = underCare(step, care)
  // Small panels share a section with their neighbour, so sections are not rounded up panel by panel.
  const sections = panel.areaM2 / sectionM ** 2
  const factor = DIFFICULTY_FACTOR[panel.difficulty]
  const machine = (sections * passes * passSeconds({ sectionM, ...stroke }) * factor) / 60
  const handling = sections * (each.spread + each.wipeAndLook + each.padCleaning) * factor
  return {
    minutes: each.changeOver + machine + handling,
    sections,
    changeOver: each.changeOver,
    machine,
    handling,
  }
}

/** Minutes of a whole process on one panel. */
export function methodMinutes({ steps }: Pick<Worked, 'steps'>, panel: Panel, care: Care): number {
  return steps.reduce((total, step) => total + stepMinutes(step, panel, care).minutes, 0)
}
