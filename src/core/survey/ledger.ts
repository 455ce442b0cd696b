import { coded, readCoded } from '../coded'
import type { LocalDay } from '../time'
import { believable, removalWhere, spreadOf } from './metrology'

/** The memory of all paint ever removed from a vehicle: an entry for each panel and visit. It is only added to. */

/** How a removal is known: measured before and after, worked out from what was done, or told by somebody. */
export const REMOVAL_SOURCES = ['measured', 'worked-out', 'told'] as const
export type RemovalSource = (typeof REMOVAL_SOURCES)[number]

/** `removedUm` may come out below 0 where the gauge wandered; it then counts as nothing taken. */
export type Removal = {
  panel: string
  day: LocalDay
  removedUm: number
  /** Standard uncertainty, µm. */
  uncertaintyUm: number
  source: RemovalSource
  note: string
}

/** A figure worked out from the process table may be off by this share of itself (mem). */
export const WORKED_OUT_UNCERTAINTY = 0.5

/** What the ledger says was taken from one panel so far, µm, with its standard uncertainty. */
export type Taken = { takenUm: number; uncertaintyUm: number }

export const NOTHING_TAKEN: Taken = { takenUm: 0, uncertaintyUm: 0 }

/** What counts as gone wherever the ledger is asked, µm: what was taken, and one standard uncertainty of it. */
export const takenForSure = ({ takenUm, uncertaintyUm }: Taken): number => takenUm + uncertaintyUm

/**
 * Totals by panel. An entry below 0 adds nothing, but its uncertainty stays. What was worked out rests on one table: where that is
 * wrong it is wrong at every visit alike, so those errors add up; errors of gauges and of memories are each their own.
 */
export function takenByPanel(ledger: readonly Removal[]): Record<string, Taken> {
  const byPanel = new Map<string, Removal[]>()
  for (const entry of ledger) byPanel.set(entry.panel, [...(byPanel.get(entry.panel) ?? []), entry])
  return Object.fromEntries(
    [...byPanel].map(([panel, entries]) => {
      const [table, apart] = [
        entries.filter(({ source }) => source === 'worked-out'),
        entries.filter(({ source }) => source !== 'worked-out'),
      ]
      const ofTable = table.reduce((sum, { uncertaintyUm }) => sum + uncertaintyUm, 0)
      return [
        panel,
        {
          takenUm: entries.reduce((sum, { removedUm }) => sum + Math.max(0, removedUm), 0),
          uncertaintyUm: Math.hypot(ofTable, ...apart.map(({ uncertaintyUm }) => uncertaintyUm)),
        },
      ]
    }),
  )
}

export type VisitRemovals = {
  beforeUm: Readonly<Record<string, readonly number[]>>
  afterUm: Readonly<Record<string, readonly number[]>>
  /** What the process that was agreed for a panel takes by the table, µm; absent where nothing was cut. */
  byProcessUm: Readonly<Record<string, number>>
  /** Panels whose second round was read at the marks of the first. */
  sameSpots?: readonly string[]
  day: LocalDay
}

/**
 * What one visit took, panel by panel. Two witnesses are heard: the process table, and the gauge where both rounds
 * were read. Each counts by the inverse of its variance, so that a shaky hand does not overrule the table, nor the
 * table a good measurement. Only panels that were worked on are entered; elsewhere a difference is noise.
 */
export function removalsOfVisit({
  beforeUm,
  afterUm,
  byProcessUm,
  sameSpots = [],
  day,
}: VisitRemovals): Removal[] {
  const spread = spreadOf([beforeUm, afterUm])
  return Object.entries(byProcessUm).map(([panel, tableUm]): Removal => {
    const table = { removedUm: tableUm, uncertaintyUm: tableUm * WORKED_OUT_UNCERTAINTY }
    const read = removalWhere(sameSpots.includes(panel))(beforeUm[panel] ?? [], afterUm[panel] ?? [], spread)
    const gauge = believable(read)
    if (!gauge) return { panel, day, ...table, source: 'worked-out', note: '' }
    const note = coded('witnesses', 'both', { gauge, table })
    return { panel, day, ...witnessed(gauge, table), source: 'measured', note }
  })
}

/** Where a deep mark was brought down beyond the polish; what a note says of such an entry. */
const SPOT_WORK = coded('removal', 'spot-work', {})
export const isSpotWork = (note: string) => note === SPOT_WORK

/**
 * What spot work took: its own entries, since the gauge reads the field and not the mark. The panel’s budget is what its thinnest
 * place can spare, so they count for the panel.
 */
export const spotRemovals = (
  spots: readonly { panel: string; takesUm: number }[],
  day: LocalDay,
): Removal[] =>
  spots
    .filter(({ takesUm }) => takesUm > 0)
    .map(({ panel, takesUm }) => ({
      panel,
      day,
      removedUm: takesUm,
      uncertaintyUm: takesUm * WORKED_OUT_UNCERTAINTY,
      source: 'worked-out',
      note: SPOT_WORK,
    }))

/** What gauge and table said each by itself, µm, where a note holds it. */
export const readWitnesses = (note: string) =>
  readCoded('witnesses', note)?.facts as { gauge: Witness; table: Witness } | undefined

export type Witness = { removedUm: number; uncertaintyUm: number }

/** No gauge is surer than this of a difference, µm, however well its readings agree (mem). */
const LEAST_UNCERTAINTY_UM = 0.3

/** Mean of two witnesses by inverse variance. */
export function witnessed(a: Witness, b: Witness): Witness {
  const weight = ({ uncertaintyUm }: Witness) => Math.max(uncertaintyUm, LEAST_UNCERTAINTY_UM) ** -2
  const total = weight(a) + weight(b)
  return {
    removedUm: (a.removedUm * weight(a) + b.removedUm * weight(b)) / total,
    uncertaintyUm: Math.sqrt(1 / total),
  }
}
