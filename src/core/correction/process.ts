import { z } from 'zod'
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
  handling: Handling
}

/** Minutes beside the strokes: the first for a panel, the others for a section. */
export type Handling = { changeOver: number; spread: number; wipeAndLook: number; padCleaning: number }

/**
 * A section that is worked until it is clear: set up with towels, lamp and cable (mem), drops spread at low speed
 * (mem), wiped and looked at under the lamp (mem), the pad cleaned after every second one (common practice).
 */
const WORKED: Handling = { changeOver: 2, spread: 0.5, wipeAndLook: 1, padCleaning: 0.5 }
/** What is spread and left to set is not wiped section by section, and one walks on without setting up (mem). */
const SPREAD: Handling = { changeOver: 0.3, spread: 0.2, wipeAndLook: 0, padCleaning: 0.2 }

export const PROCESS_KEYS = [
  'leave',
  'all-in-one',
  'one-step-polish',
  'one-step-cut',
  'two-step',
  'two-step-wool',
  'disc-two-step',
] as const
export type ProcessKey = (typeof PROCESS_KEYS)[number]

export type Process = { key: ProcessKey; steps: readonly Step[]; leavesProtection: boolean }

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
  armMmPerSecond: 170,
  handling: SPREAD,
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
  handling: WORKED,
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
  handling: WORKED,
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
  handling: WORKED,
}

/** For heavily marked hard paint, before the compound (common practice). It dulls what it levels; the cut clears that. */
const DISC: Step = {
  machine: 'Short-throw dual action',
  pad: 'Foam disc, 3000 grit',
  liquid: 'Water',
  role: 'cut',
  removalPerPassUm: 0.9,
  passes: 2,
  hazePoints: 20,
  sectionM: 0.61,
  padMm: 125,
  armMmPerSecond: 50,
  handling: WORKED,
}

/** Mildest first. */
export const PROCESSES: readonly Process[] = [
  { key: 'leave', steps: [], leavesProtection: false },
  { key: 'all-in-one', steps: [ALL_IN_ONE], leavesProtection: true },
  { key: 'one-step-polish', steps: [POLISH], leavesProtection: false },
  { key: 'one-step-cut', steps: [CUT_AND_FINISH], leavesProtection: false },
  { key: 'two-step', steps: [CUT, REFINE], leavesProtection: false },
  {
    key: 'two-step-wool',
    steps: [WOOL_CUT, { ...REFINE, passes: 5 }],
    leavesProtection: false,
  },
  {
    key: 'disc-two-step',
    steps: [DISC, CUT, { ...REFINE, passes: 5 }],
    leavesProtection: false,
  },
]

/** What processes were kept by before they were kept by key. */
const FORMER_NAMES: Readonly<Record<string, ProcessKey>> = {
  Leave: 'leave',
  'All-in-one': 'all-in-one',
  'One-step polish': 'one-step-polish',
  'One-step cut and finish': 'one-step-cut',
  'Two-step': 'two-step',
  'Two-step with wool': 'two-step-wool',
  '3000 disc and two-step': 'disc-two-step',
}

/** A process as the shop keeps it, also from before it was kept by key. */
export const keptProcess = z
  .string()
  .max(40)
  .transform((kept) => FORMER_NAMES[kept] ?? kept)
  .pipe(z.enum(PROCESS_KEYS))

export function processOf(key: ProcessKey): Process {
  return PROCESSES.find((process) => process.key === key)!
}

/**
 * How soft the paint is: µm it loses for each that paint of medium hardness would. What the customer or the
 * maker’s name lets one guess, until a test spot has told (mem).
 */
export const HARDNESS_GIVE: Record<Hardness, number> = { soft: 1.3, medium: 1, hard: 0.7 }

export function stepRemovalUm(step: Step, give: number): number {
  return step.removalPerPassUm * give * step.passes
}

/** µm taken by the whole process from paint of that softness. */
export function removalUm(process: Process, give: number): number {
  return process.steps.reduce((total, step) => total + stepRemovalUm(step, give), 0)
}

/** How fine the haze of a step lies, µm: what a finer step must take to bring it to a third (mem). */
const HAZE_DEPTH_UM = 0.15

/** Points of the condition index that the haze of the last steps costs. */
export function hazeLeft(process: Process, give: number): number {
  return process.steps.reduce(
    (haze, step) => haze * Math.exp(-stepRemovalUm(step, give) / HAZE_DEPTH_UM) + step.hazePoints,
    0,
  )
}
