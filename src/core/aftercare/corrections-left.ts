import { removalUm, seededMethod, worked } from '../correction'
import { LIFETIME_UM, NOTHING_TAKEN, type Taken, takenForSure } from '../survey'

/** The corrections one looks ahead to: the light yearly polish and a cut. */
const AHEAD = ['one-step-polish', 'one-step-cut'] as const

export type CorrectionsLeft = { leftUm: number; polishes: number; cuts: number }

/**
 * How often a panel can still be polished lightly, or cut, before all that may ever be taken from it is gone: by the
 * ledger, with one standard uncertainty counted as taken, and by what the last readings allow, µm, where there are some. `give` is
 * how readily this paint loses its µm: 1 is medium.
 */
export function correctionsLeft(
  taken: Taken = NOTHING_TAKEN,
  give: number,
  budgetUm = Number.POSITIVE_INFINITY,
): CorrectionsLeft {
  const leftUm = Math.max(0, Math.min(LIFETIME_UM - takenForSure(taken), budgetUm))
  const [polishes, cuts] = AHEAD.map((key) =>
    Math.floor(leftUm / removalUm(worked(seededMethod(key)), give) + 1e-9),
  )
  return { leftUm, polishes: polishes!, cuts: cuts! }
}
