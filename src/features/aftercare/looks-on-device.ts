import type { KeptLook } from '@/core/aftercare'
import type { TypedLooks } from '@/core/aftercare/visit-told'
import type { JobId } from '@/core/ids'
import type { QueueEntry } from '@/core/queue'
import type { QueueState } from '../queue/told'

/** What was seen at a visit and is on this tablet, read from the queue of the device: the later look at a part stands. */

export const KEEP_LOOKS = 'aftercare.keep-looks'
export const TAKE_LOOK_BACK = 'aftercare.take-look-back'

export type Seen = Pick<TypedLooks, 'by' | 'cleaned'> & { look: TypedLooks['looks'][number] }

/** A look, or that the look at a part was taken back. */
export type Noted = Seen | 'taken-back'

export type LooksState = {
  /** By part: what was noted on this tablet and the page may not show yet. */
  noted: Readonly<Record<string, Noted>>
  /** Parts whose look the shop does not have yet. */
  waiting: readonly string[]
  /** Why looks were not taken, with the entries that say so. */
  refused: readonly { id: string; message: string }[]
  /** Entries the shop has. */
  sent: ReadonlySet<string>
}

/** What an entry says of the parts of this visit; nothing where it is about something else. */
function saidBy(entry: QueueEntry, jobId: JobId): [unit: string, noted: Noted][] {
  if (entry.kind !== 'call') return []
  if (entry.action === KEEP_LOOKS) {
    const { jobId: job, by, cleaned, looks } = entry.input as TypedLooks & { jobId: JobId }
    return job === jobId ? looks.map((look) => [look.unit, { by, cleaned, look }]) : []
  }
  if (entry.action === TAKE_LOOK_BACK) {
    const { jobId: job, unit } = entry.input as { jobId: JobId; unit: string }
    return job === jobId ? [[unit, 'taken-back']] : []
  }
  return []
}

/** The looks of one visit in what the device keeps. */
export function looksOf(jobId: JobId, { sent, waiting, refused }: QueueState): LooksState {
  const told = sent
    .filter((entry) => saidBy(entry, jobId).length > 0)
    .toSorted((a, b) => a.noted.wall - b.noted.wall)
  const open = waiting.flatMap((entry) => saidBy(entry, jobId))
  return {
    noted: Object.fromEntries([...told.flatMap((entry) => saidBy(entry, jobId)), ...open]),
    waiting: [...new Set(open.map(([unit]) => unit))],
    refused: refused
      .filter((entry) => saidBy(entry, jobId).length > 0)
      .map(({ id, why }) => ({
        id,
        message: why.kind === 'words' ? why.message : 'The shop did not take it.',
      })),
    sent: new Set(told.map(({ id }) => id)),
  }
}

/** Entries the shop has and a page with these looks shows: they need not be kept for the eye. */
export function shownWith(
  kept: readonly Pick<KeptLook, 'unit' | 'water' | 'feel'>[],
  jobId: JobId,
  state: QueueState,
): Set<string> {
  const { noted } = looksOf(jobId, state)
  const shows = (unit: string) => {
    const look = kept.find((each) => each.unit === unit)
    const last = noted[unit]!
    if (last === 'taken-back') return look === undefined
    return look?.water === last.look.water && look.feel === last.look.feel
  }
  return new Set(
    state.sent
      .filter((entry) => {
        const said = saidBy(entry, jobId)
        return said.length > 0 && said.every(([unit]) => shows(unit))
      })
      .map(({ id }) => id),
  )
}
