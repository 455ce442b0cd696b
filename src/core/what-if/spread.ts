/** What a figure comes to over many runs: its mean, and between what it lies in eight of ten. */
export type Spread = { mean: number; low: number; high: number }

/** A figure before a change and after it, and by how much it differs from run to run: each run has the same luck on both sides. */
export type Compared = { before: Spread; after: Spread; difference: Spread }

/** Runs that are left out at either end, share of them. */
const BEYOND = 0.1

/** Throws where there are no runs. */
export function spreadOver(values: readonly number[]): Spread {
  if (values.length === 0) throw new Error('a spread is over one run at least')
  const sorted = values.toSorted((a, b) => a - b)
  const beyond = Math.floor(BEYOND * (sorted.length - 1))
  return {
    mean: sorted.reduce((sum, value) => sum + value, 0) / sorted.length,
    low: sorted[beyond]!,
    high: sorted[sorted.length - 1 - beyond]!,
  }
}

/** Two lists of runs, of one length, the runs of one luck at the same place. */
export const compared = (before: readonly number[], after: readonly number[]): Compared => ({
  before: spreadOver(before),
  after: spreadOver(after),
  difference: spreadOver(after.map((value, run) => value - before[run]!)),
})

/** Which way a change goes in eight runs of ten at least: up, down, or neither that can be told. */
export function leaning({ difference: { low, high } }: Pick<Compared, 'difference'>): 'up' | 'down' | 'same' {
  if (low > 0) return 'up'
  return high < 0 ? 'down' : 'same'
}
