import type { Note } from '../card/notes'
import type { JobId, OperationId } from '../ids'
import type { StepName } from '../offer'

/** A note of a card that waits for somebody, as the yard and the day show it. */
export type WaitingNote = { jobId: JobId; plate: string; operation: OperationId; title: StepName; note: Note }
