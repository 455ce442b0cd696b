import { clearedShare, DEFECT_MODEL, type Defect } from '../survey'
import { type Method, openStep, removalUm, type Worked, worked } from './method'

/** What the passes of one panel are worked out from. */
export type PassesInput = {
  defects: readonly Defect[]
  /** µm it loses for each that medium paint would. */
  give: number
  /** How deep its marks lie against the table. */
  depth: number
  budgetUm: number
}

/** What binary fractions lose, µm. */
const ROUNDING_UM = 1e-9

const polishable = ({ kind, catchesNail }: Defect) => !catchesNail && DEFECT_MODEL[kind].mend === 'polish'

/** Share 0–1 of what a pad can reach at all that goes with that many µm; 1 where nothing is to be polished out. */
function reachedShare(defects: readonly Defect[], um: number): number {
  const marks = defects.filter(polishable)
  const weight = ({ kind, severity, extentPercent }: Defect) =>
    DEFECT_MODEL[kind].deduct[severity - 1]! * extentPercent
  const all = marks.reduce((sum, mark) => sum + weight(mark), 0)
  if (all === 0) return 1
  return marks.reduce((sum, mark) => sum + weight(mark) * clearedShare(mark, um), 0) / all
}

/** What ended the passes before what the method is worked to was clear. */
export type Held = 'paint' | 'heat'

/** Why a panel got fewer passes than its marks ask for; undefined where they are clear or nothing is worked out. */
export function heldBy(
  method: Method,
  done: Worked,
  { defects, give, depth }: PassesInput,
): Held | undefined {
  const at = openStep(method)
  if (at === undefined || reachedShare(defects, removalUm(done, give) / depth) >= method.clears)
    return undefined
  return done.steps[at]!.passes < method.steps[at]!.passes.most ? 'paint' : 'heat'
}

/**
 * A method with as many passes as one panel needs: a section is looked at and given another pass until what the method is worked
 * to is clear, its paint has no more to spare, or it has to cool. Where even the fewest take more than there is, those stand: a
 * rule then forbids the method there.
 */
export function workedOut(method: Method, { defects, give, depth, budgetUm }: PassesInput): Worked {
  const at = openStep(method)
  if (at === undefined) return worked(method)
  const { least, most } = method.steps[at]!.passes
  const withPasses = (passes: number) =>
    worked(
      method,
      method.steps.map((step, index) => (index === at ? passes : step.passes.least)),
    )
  let best = withPasses(least)
  for (let passes = least; passes <= most; passes++) {
    const candidate = withPasses(passes)
    const um = removalUm(candidate, give)
    if (um > budgetUm + ROUNDING_UM) break
    best = candidate
    if (reachedShare(defects, um / depth) >= method.clears) break
  }
  return best
}
