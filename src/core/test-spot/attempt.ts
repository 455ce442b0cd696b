import type { PanelGroup, ProcessKey } from '../correction'
import type { Defect } from '../survey'

/** What was tried at a test spot, and what was seen under the point light after wiping. */

export const HAZES = ['none', 'faint', 'clear', 'strong'] as const
export type Haze = (typeof HAZES)[number]
export const HEATS = ['cool', 'warm', 'hot'] as const
export type Heat = (typeof HEATS)[number]
export const VERDICTS = ['enough', 'more', 'too-much'] as const
export type Verdict = (typeof VERDICTS)[number]

export type Attempt = {
  panel: string
  group: PanelGroup
  process: ProcessKey
  /** Of the step that cuts; the finer step after it is as the table has it. */
  machine: string
  pad: string
  liquid: string
  /** As the dial of the machine has it. */
  speed: number
  passes: number
  sectionM: number
  /** What was looked at. */
  mark: Pick<Defect, 'kind' | 'severity'>
  /** Share of it that had gone, 0–1. */
  cleared: number
  haze: Haze
  heat: Heat
  /** Film on the spot before and after, µm; empty where it was not read. */
  beforeUm: readonly number[]
  afterUm: readonly number[]
  verdict: Verdict
  note: string
}
