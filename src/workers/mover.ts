import { expose } from 'comlink'
import type { JobId, OperationId } from '@/core/ids'
import {
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

function opened(): MoveDesk {
  if (!desk) throw new Error('no calendar is open')
  return desk
}

const mover = {
  open(problem: Problem, operations: PlacedOperation[]): void {
    desk = new MoveDesk(problem, operations)
  },
  /** `hurried` while it is still being dragged. */
  tryMove(move: Move, hurried: boolean): Tried {
    return move.kind === 'operation' ? opened().tryOperation(move, hurried) : opened().tryStay(move)
  },
  landings(job: JobId, operation: OperationId, until: Instant): { from: Instant; to: Instant }[] {
    return opened().landings(job, operation, until)
  },
}

export type Mover = typeof mover
expose(mover)
