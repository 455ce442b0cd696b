import { z } from 'zod'
import type { Hardness } from '../vehicle'
import type { Liquid, Machine, Pad } from './equipment'
import type { Material } from './material'

/**
 * A step at the machine. `removalPerPassUm` is µm taken from paint of medium hardness by one crosshatch pass;
 * `hazePoints` is what the step itself leaves on the panel, in points of the condition index.
 */
export type Step = {
  machine: Machine
  pad: Pad
  liquid: Liquid
  role: 'cut' | 'refine' | 'single'
  /** Of the machine's speed dial, 1–6 (common practice: 4–6 on a dual action, 3 at most on a rotary). */
  dial: number
  removalPerPassUm: number
  /** Passes of a section: at least, and the most one stands before it has to cool. The same twice is fixed. */
  passes: { least: number; most: number }
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

/** A method of the shop, as it was written down when its version was made. */
export type Method = {
  key: MethodKey
  version: number
  /** As the shop calls it; one that ships with the app goes by its usual name while this is empty. */
  name: string
  steps: readonly Step[]
  /** The paint may not be coated over it: oils and wax stay on. */
  leavesProtection: boolean
  /** Share 0–1 of what marks a section that it is worked to; passes go on until there, or until paint or heat ends them. */
  clears: number
  fit: readonly Material[]
  /** No longer offered; old jobs keep it. */
  retired: boolean
}

export type MethodKey = string

/** A method with its passes worked out: what is done to one panel. */
export type WorkedStep = Omit<Step, 'passes'> & { passes: number }
export type Worked = Omit<Method, 'steps'> & { steps: readonly WorkedStep[] }

export const passesOf = ({ steps }: Pick<Worked, 'steps'>): Passes => steps.map(({ passes }) => passes)

/** Passes of each step, first step first. */
export type Passes = readonly number[]

/** Where nothing is worked out: those in the middle. */
const usualPasses = ({ steps }: Method): Passes =>
  steps.map(({ passes: { least, most } }) => Math.round((least + most) / 2))

/** A method done with those passes; without them, with the usual ones. */
export function worked(method: Method, passes: Passes = usualPasses(method)): Worked {
  return {
    ...method,
    steps: method.steps.map((step, at) => ({ ...step, passes: passes[at] ?? step.passes.least })),
  }
}

/** The step whose passes are worked out: the first that is not fixed. Undefined where all are. */
export const openStep = ({ steps }: Method): number | undefined => {
  const at = steps.findIndex(({ passes }) => passes.most > passes.least)
  return at < 0 ? undefined : at
}

export function stepRemovalUm(step: Pick<WorkedStep, 'removalPerPassUm' | 'passes'>, give: number): number {
  return step.removalPerPassUm * give * step.passes
}

/** µm taken by the whole of it from paint that loses `give` times what medium paint would. */
export function removalUm({ steps }: Pick<Worked, 'steps'>, give: number): number {
  return steps.reduce((total, step) => total + stepRemovalUm(step, give), 0)
}

/** How fine the haze of a step lies, µm: what a finer step must take to bring it to a third (mem). */
const HAZE_DEPTH_UM = 0.15

/** Points of the condition index that the haze of the last steps costs. */
export function hazeLeft({ steps }: Pick<Worked, 'steps'>, give: number): number {
  return steps.reduce(
    (haze, step) => haze * Math.exp(-stepRemovalUm(step, give) / HAZE_DEPTH_UM) + step.hazePoints,
    0,
  )
}

/**
 * How strong a method is: µm it takes from medium paint with the passes it is usually given, which are those in the middle. It
 * orders the methods of a shop from the mildest to the strongest, and says what a package stops at.
 */
export function strengthOf(method: Pick<Method, 'steps'>): number {
  return method.steps.reduce(
    (sum, { removalPerPassUm, passes: { least, most } }) => sum + (removalPerPassUm * (least + most)) / 2,
    0,
  )
}

/** Mildest first; of two alike the one with fewer steps. */
export const mildestFirst = (methods: readonly Method[]): Method[] =>
  methods.toSorted((a, b) => strengthOf(a) - strengthOf(b) || a.steps.length - b.steps.length)

/** The methods a shop still offers, mildest first. */
export const offered = (methods: readonly Method[]): Method[] =>
  mildestFirst(methods.filter(({ retired }) => !retired))

export const methodIn = (methods: readonly Method[], key: MethodKey): Method | undefined =>
  methods.find((method) => method.key === key)

/** Those no stronger than the named one; all where it is not among them. */
export function upTo(methods: readonly Method[], strongest: MethodKey): Method[] {
  const limit = methodIn(methods, strongest)
  return limit ? methods.filter((method) => strengthOf(method) <= strengthOf(limit)) : [...methods]
}

/** What methods were kept by before they were kept by key. */
const FORMER_NAMES: Readonly<Record<string, MethodKey>> = {
  Leave: 'leave',
  'All-in-one': 'all-in-one',
  'One-step polish': 'one-step-polish',
  'One-step cut and finish': 'one-step-cut',
  'Two-step': 'two-step',
  'Two-step with wool': 'two-step-wool',
  '3000 disc and two-step': 'disc-two-step',
}

/** The key of a method as the shop keeps it, also from before it was kept by key. */
export const keptMethod = z
  .string()
  .min(1)
  .max(80)
  .transform((kept): MethodKey => FORMER_NAMES[kept] ?? kept)

/**
 * How soft the paint is: µm it loses for each that paint of medium hardness would. What the customer or the
 * maker’s name lets one guess, until a test spot has told (mem).
 */
export const HARDNESS_GIVE: Record<Hardness, number> = { soft: 1.3, medium: 1, hard: 0.7 }
