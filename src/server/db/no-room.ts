/** Thrown where the disk is full and nothing was written. */
export class NoRoom extends Error {}

const FULL: readonly unknown[] = ['SQLITE_FULL', 'ENOSPC', 'EDQUOT']

/** Whether a fault is that the disk is full. SQLite may have undone the whole transaction then, not the last statement alone. */
export const isFull = (error: unknown): boolean =>
  error instanceof NoRoom || FULL.includes((error as { code?: unknown } | undefined)?.code)
