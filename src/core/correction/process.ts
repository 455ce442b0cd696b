import type { Hardness } from '../vehicle'

/**
 * A step at the machine. `removalPerPassUm` is µm taken from paint of medium hardness by one crosshatch pass;
 * `hazePoints` is what the step itself leaves on the panel, in points of the condition index. All figures of
 * removal and haze are remembered from practice (mem) until test spots recalibrate them.
 */
export type Step = {
  machine: string
  pad: string
  liquid: string
  role: 'cut' | 'refine' | 'single'
  removalPerPassUm: number
  passes: number
  hazePoints: number
  /** Side of the square worked at once, m (common practice: 0.6 m or smaller, larger when refining). */
  sectionM: number
  padMm: number
  /** Arm speed, mm/s (common practice: about 25 when cutting, faster when refining). */
  armMmPerSecond: number
}

export const PROCESS_KEYS = [
  'leave',
  'all-in-one',
  'one-step-polish',
  'one-step-cut',
  'two-step',
  'two-step-wool',
] as const
export type ProcessKey = (typeof PROCESS_KEYS)[number]

export type Process = { key: ProcessKey; name: string; steps: readonly Step[]; leavesProtection: boolean }

const ALL_IN_ONE: Step = {
  machine: 'Long-throw dual action',
  pad: 'Foam polish',
  liquid: 'All-in-one',
  role: 'single',
  removalPerPassUm: 0.26,
  passes: 2,
  hazePoints: 0.5,
  sectionM: 0.9,
  padMm: 150,
  armMmPerSecond: 100,
}
const POLISH: Step = {
  machine: 'Long-throw dual action',
  pad: 'Foam polish',
  liquid: 'Medium polish',
  role: 'single',
  removalPerPassUm: 0.2,
  passes: 4,
  hazePoints: 0.5,
  sectionM: 0.61,
  padMm: 125,
  armMmPerSecond: 45,
}
const CUT_AND_FINISH: Step = {
  ...POLISH,
  pad: 'Foam cut',
  removalPerPassUm: 0.22,
  passes: 5,
  hazePoints: 0.8,
  armMmPerSecond: 40,
}
const CUT: Step = {
  machine: 'Forced rotation',
  pad: 'Microfibre',
  liquid: 'Heavy compound',
  role: 'cut',
  removalPerPassUm: 0.42,
  passes: 5,
  hazePoints: 8,
  sectionM: 0.61,
  padMm: 125,
  armMmPerSecond: 25,
}
const WOOL_CUT: Step = { ...CUT, machine: 'Rotary', pad: 'Wool', removalPerPassUm: 0.56, hazePoints: 12 }
const REFINE: Step = {
  machine: 'Short-throw dual action',
  pad: 'Foam finish',
  liquid: 'Finishing polish',
  role: 'refine',
  removalPerPassUm: 0.08,
  passes: 4,
  hazePoints: 0.3,
  sectionM: 0.75,
  padMm: 125,
  armMmPerSecond: 50,
}

/** Mildest first. */
export const PROCESSES: readonly Process[] = [
  { key: 'leave', name: 'Leave', steps: [], leavesProtection: false },
  { key: 'all-in-one', name: 'All-in-one', steps: [ALL_IN_ONE], leavesProtection: true },
  { key: 'one-step-polish', name: 'One-step polish', steps: [POLISH], leavesProtection: false },
  { key: 'one-step-cut', name: 'One-step cut and finish', steps: [CUT_AND_FINISH], leavesProtection: false },
  { key: 'two-step', name: 'Two-step', steps: [CUT, REFINE], leavesProtection: false },
  {
    key: 'two-step-wool',
    name: 'Two-step with wool',
    steps: [WOOL_CUT, { ...REFINE, passes: 5 }],
    leavesProtection: false,
  },
]

export function processOf(key: ProcessKey): Process {
  return PROCESSES.find((process) => process.key === key)!
}

/** Soft paint gives way, hard paint resists (mem). */
export const HARDNESS_FACTOR: Record<Hardness, number> = { soft: 1.3, medium: 1, hard: 0.7 }

export function stepRemovalUm(step: Step, hardness: Hardness): number {
  return step.removalPerPassUm * HARDNESS_FACTOR[hardness] * step.passes
}

/** µm taken by the whole process. */
export function removalUm(process: Process, hardness: Hardness): number {
  return process.steps.reduce((total, step) => total + stepRemovalUm(step, hardness), 0)
}

/** How fine the haze of a step lies, µm: what a finer step must take to bring it to a third (mem). */
const HAZE_DEPTH_UM = 0.15

/** Points of the condition index that the haze of the last steps costs. */
export function hazeLeft(process: Process, hardness: Hardness): number {
  return process.steps.reduce(
    (haze, step) => haze * Math.exp(-stepRemovalUm(step, hardness) / HAZE_DEPTH_UM) + step.hazePoints,
    0,
  )
}
