import {
  type GroupKnowledge,
  PANEL_GROUPS,
  type PaintKnowledge,
  type PanelGroup,
  type ProcessKey,
} from '../correction'
import type { Hardness } from '../vehicle'
import type { Attempt } from './attempt'
import { priorOf, witnessesOf } from './give'
import { type Advice, nextRung } from './ladder'
import { type KnownCar, type PaintKey, type Recall, recall } from './memory'
import { type Estimate, factorOf, shrink } from './shrink'

/** What is known of one group of panels on one car, and from what. */
export type GroupStudy = {
  group: PanelGroup
  /** What the shop remembers of paint like this, before this car’s own spots. */
  recall: Recall
  attempts: readonly Attempt[]
  give: Estimate
  settled?: ProcessKey
  tooMuch: ProcessKey[]
}

/** Studies one group: the declared hardness, drawn towards other cars, drawn towards what was seen on this one. */
export function studyGroup(group: PanelGroup, { hardness, paint, memory, attempts }: StudyInput): GroupStudy {
  const own = attempts.filter((attempt) => attempt.group === group)
  const remembered = recall(memory, paint, group, priorOf(hardness))
  const settled = settledBy(own)
  return {
    group,
    recall: remembered,
    attempts: own,
    give: shrink(remembered.give, own.flatMap(witnessesOf)),
    ...(settled ? { settled } : {}),
    tooMuch: own.filter(({ verdict }) => verdict === 'too-much').map(({ process }) => process),
  }
}

export type StudyInput = {
  hardness: Hardness
  paint: PaintKey
  memory: readonly KnownCar[]
  /** In the order in which they were made. */
  attempts: readonly Attempt[]
}

/**
 * The process a group is held to. Only what was seen to be enough binds; where it leaves haze that a finer step must
 * clear, nothing is settled yet.
 */
function settledBy(attempts: readonly Attempt[]): ProcessKey | undefined {
  const last = attempts.at(-1)
  const hazed = last?.haze === 'clear' || last?.haze === 'strong'
  return last?.verdict === 'enough' && !hazed ? last.process : undefined
}

/** What the plan of the correction needs to know of each group. */
export function paintKnowledge(input: StudyInput): PaintKnowledge {
  return Object.fromEntries(
    PANEL_GROUPS.map((group): [PanelGroup, GroupKnowledge] => {
      const { give, settled, tooMuch } = studyGroup(group, input)
      return [group, { give: factorOf(give).factor, ...(settled ? { settled } : {}), tooMuch }]
    }),
  ) as Record<PanelGroup, GroupKnowledge>
}

/** The next rung for a group, with what the shop remembers of it. */
export const adviceFor = (study: GroupStudy, ladder: readonly ProcessKey[]): Advice =>
  nextRung(ladder, study.attempts, study.recall.start)
