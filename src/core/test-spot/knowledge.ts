import {
  type GroupKnowledge,
  type Method,
  PANEL_GROUPS,
  type PaintKnowledge,
  type PanelGroup,
  type Tried,
} from '../correction'
import type { DepthScales } from '../survey'
import type { Hardness } from '../vehicle'
import type { Attempt } from './attempt'
import { byClearing, byFilm, priorOf, rateAfter, ratioAfter } from './give'
import { type Advice, nextRung, type Trial } from './ladder'
import { DEPTH_SD, type KnownCar, type PaintKey, type Recall, recall } from './memory'
import { recipeOf, strengthTried } from './recipe'
import { type Estimate, factorOf } from './shrink'

/** What is known of one group of panels on one car, and from what. */
export type GroupStudy = {
  group: PanelGroup
  /** What the shop remembers of paint like this, before this car’s own spots. */
  recall: Recall
  attempts: readonly Attempt[]
  /** µm it loses for each that medium paint would. */
  give: Estimate
  /** That rate over how deep its marks lie against the table: what a method clears follows from it. */
  ratio: Estimate
  settled?: Tried
  /** What the good spot was done with: how the panels of this group are worked. */
  recipe?: Method
  tooMuch: Tried[]
  /** The attempts as the ladder sees them. */
  trials: readonly Trial[]
}

export type StudyInput = {
  hardness: Hardness
  paint: PaintKey
  memory: readonly KnownCar[]
  /** What the shop has, retired methods too: a spot of long ago was done by them. */
  methods: readonly Method[]
  /** In the order in which they were made. */
  attempts: readonly Attempt[]
  /** How deep marks lie against the table, as the shop has learned. */
  depths?: DepthScales
}

/** Studies one group: the declared hardness, drawn towards other cars, drawn towards what was seen on this one. */
export function studyGroup(group: PanelGroup, input: StudyInput): GroupStudy {
  const { hardness, paint, memory, methods, attempts, depths } = input
  const own = attempts.filter((attempt) => attempt.group === group)
  const remembered = recall(memory, paint, group, priorOf(hardness), methods)
  const films = own.map((attempt) => byFilm(attempt, methods)).filter((each) => each !== undefined)
  const seen = own.map((attempt) => byClearing(attempt, methods, depths)).filter((each) => each !== undefined)
  const give = films.length > 0 ? rateAfter(remembered.give, films) : remembered.give
  // A rate that the gauge has told moves the ratio with it, and makes it surer: its marks lie no deeper for that.
  const moved = {
    log: remembered.ratio.log + give.log - remembered.give.log,
    variance: Math.max(
      DEPTH_SD ** 2 / 2,
      remembered.ratio.variance - remembered.give.variance + give.variance,
    ),
  }
  const ratio = seen.length > 0 ? ratioAfter(moved, seen) : moved
  const good = settledBy(own)
  const tried = (attempt: Attempt): Tried => ({
    key: attempt.process,
    strength: strengthTried(attempt, methods),
  })
  return {
    group,
    recall: remembered,
    attempts: own,
    give,
    ratio,
    ...(good ? { settled: tried(good), recipe: recipeOf(good, methods) } : {}),
    tooMuch: own.filter(({ verdict }) => verdict === 'too-much').map(tried),
    trials: own.map((attempt) => ({ ...attempt, strength: strengthTried(attempt, methods) })),
  }
}

const hazed = ({ haze }: Attempt) => haze === 'clear' || haze === 'strong'

/**
 * The attempt a group is held to. Only what was seen to be enough binds; where it leaves haze that a finer step must
 * clear, nothing is settled yet.
 */
function settledBy(attempts: readonly Attempt[]): Attempt | undefined {
  const last = attempts.at(-1)
  return last?.verdict === 'enough' && !hazed(last) ? last : undefined
}

/** What is known of how deep the marks of a group lie against the table, with its standard deviation as a share of itself. */
export function depthOf({ give, ratio }: Pick<GroupStudy, 'give' | 'ratio'>): { factor: number; sd: number } {
  return { factor: Math.exp(give.log - ratio.log), sd: Math.sqrt(give.variance + ratio.variance) }
}

/** What the plan of the correction needs to know of each group. */
export function paintKnowledge(input: StudyInput): PaintKnowledge {
  return Object.fromEntries(
    PANEL_GROUPS.map((group): [PanelGroup, GroupKnowledge] => {
      const study = studyGroup(group, input)
      const { give, settled, recipe, tooMuch, attempts } = study
      return [
        group,
        {
          give: factorOf(give).factor,
          depth: depthOf(study).factor,
          ...(settled ? { settled } : {}),
          ...(recipe ? { recipe } : {}),
          tooMuch,
          good: attempts
            .filter((each) => each.verdict === 'enough' && !hazed(each))
            .map(({ process }) => process),
        },
      ]
    }),
  ) as Record<PanelGroup, GroupKnowledge>
}

/** The next rung for a group, with what the shop remembers of it. `ladder` is what the rules allow there. */
export const adviceFor = (study: GroupStudy, ladder: readonly Method[]): Advice =>
  nextRung(ladder, study.trials, study.recall.start)
