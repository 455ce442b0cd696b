import type { JobId } from '../ids'
import type { Removal } from './ledger'

/** An entry of the ledger as it is kept; the job it came from, where it came from one of ours. */
export type LedgerEntry = Removal & { id: number; jobId?: JobId }
