import type { Model, ModelOperation } from './model'
import type { OperationPlacement } from './shop-state'
import type { Crew } from './teams'

/** Who may judge whose work: the final inspection is for somebody who had no hand in what is inspected. */

type Placed = readonly (OperationPlacement | undefined)[]

/** Whether a crew may judge: none of it had a hand in what is judged. */
function hasFreshEyes({ judges }: ModelOperation, placed: Placed, { people }: Crew): boolean {
  return !people.some(
    (person) =>
      judges?.people.includes(person) ||
      judges?.operations.some((index) => placed[index]?.people.includes(person)),
  )
}

/** Says of a crew whether it leaves somebody to judge its work: whoever is to, or, until that is known, anybody who could. */
function leavesAJudge({ index: own, judgedBy }: ModelOperation, placed: Placed): (crew: Crew) => boolean {
  if (!judgedBy) return () => true
  const { index, skilled, judges } = judgedBy
  const judge = placed[index]
  if (judge) return ({ people }) => !people.some((person) => judge.people.includes(person))
  const left = skilled.filter(
    (person) =>
      !judges.people.includes(person) &&
      !judges.operations.some((other) => other !== own && placed[other]?.people.includes(person)),
  )
  return ({ people }) => left.some((person) => !people.includes(person))
}

const NOBODY: readonly Crew[] = []

/** The crews an operation may be given to: first those by whom no work judges itself, since of equals the first is taken. */
export function crewsInTurn(
  { model }: { model: Model },
  operation: ModelOperation,
  place: number,
  placed: Placed,
): { apart: readonly Crew[]; others: readonly Crew[] } {
  const all = model.crewsFor(operation, place)
  if (!operation.judges && !operation.judgedBy) return { apart: all, others: NOBODY }
  const leaves = leavesAJudge(operation, placed)
  const keepsApart = (crew: Crew) => hasFreshEyes(operation, placed, crew) && leaves(crew)
  return { apart: all.filter(keepsApart), others: all.filter((crew) => !keepsApart(crew)) }
}
