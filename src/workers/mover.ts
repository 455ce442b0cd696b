import { expose } from 'comlink'
import type { JobId, OperationId } from '@/core/ids'
import {
  type ChanceChange,
  chanceChanges,
  chancesByDue,
  MoveDesk,
  type OperationMove,
  type PlacedOperation,
  type Problem,
  type StayMove,
  type Tried,
} from '@/core/schedule'
import type { Instant } from '@/core/time'

/** Tries moves beside the page, so that dragging stays smooth. */

/** A step to another moment, place or person; or a stay with all that follows it. */
export type Move = ({ kind: 'operation' } & OperationMove) | ({ kind: 'stay' } & StayMove)

let desk: MoveDesk | undefined
/** The calendar that stands, and how likely each promise is kept by it; the chances are worked out when they are first asked for. */
let stands: { problem: Problem; operations: PlacedOperation[]; chances?: Map<JobId, number> } | undefined

function opened(): MoveDesk {
  if (!desk) throw new Error('no calendar is open')
  return desk
}

const mover = {
  open(problem: Problem, operations: PlacedOperation[]): void {
    desk = new MoveDesk(problem, operations)
    stands = { problem, operations }
  },
  /** `hurried` while it is still being dragged. */
  tryMove(move: Move, hurried: boolean): Tried {
    return move.kind === 'operation' ? opened().tryOperation(move, hurried) : opened().tryStay(move)
  },
  /** Which promises become surer or less sure if these operations lie as they would after a move. */
  chances(moved: PlacedOperation[]): ChanceChange[] {
    if (!stands) throw new Error('no calendar is open')
    const { problem, operations } = stands
    stands.chances ??= chancesByDue(problem, operations)
    const jobs = new Set(moved.map(({ job }) => job))
    const after = [...operations.filter(({ job }) => !jobs.has(job)), ...moved]
    return chanceChanges(stands.chances, chancesByDue(problem, after))
  },
  landings(job: JobId, operation: OperationId, until: Instant): { from: Instant; to: Instant }[] {
    return opened().landings(job, operation, until)
  },
}

export type Mover = typeof mover
expose(mover)
