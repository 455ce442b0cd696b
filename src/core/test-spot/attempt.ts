import type { Liquid, Machine, MethodKey, Pad, PanelGroup } from '../correction'
import type { Defect, Difference } from '../survey'

/** What was tried at a test spot, and what was seen under the point light after wiping. */

export const HAZES = ['none', 'faint', 'clear', 'strong'] as const
export type Haze = (typeof HAZES)[number]
export const HEATS = ['cool', 'warm', 'hot'] as const
export type Heat = (typeof HEATS)[number]
export const VERDICTS = ['enough', 'more', 'too-much'] as const
export type Verdict = (typeof VERDICTS)[number]

/** One step as it was really done at the spot, whatever the method says. */
export type AttemptStep = {
  machine: Machine
  pad: Pad
  liquid: Liquid
  /** The bottle’s own name, where somebody has written it down. */
  product: string
  /** As the dial of the machine has it. */
  dial: number
  passes: number
  sectionM: number
}

export type Attempt = {
  panel: string
  group: PanelGroup
  /** The method it was begun from. */
  process: MethodKey
  /** Cutting step first, finishing step last. */
  steps: readonly AttemptStep[]
  /** What was looked at. */
  mark: Pick<Defect, 'kind' | 'severity'>
  /** Share of it that had gone, 0–1. */
  cleared: number
  haze: Haze
  heat: Heat
  /** Film on the spot before and after, µm; empty where it was not read. */
  beforeUm: readonly number[]
  afterUm: readonly number[]
  /** What it lost, where somebody tells it as one figure and not by readings. */
  removed?: Difference
  verdict: Verdict
  note: string
}
