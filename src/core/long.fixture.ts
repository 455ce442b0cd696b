/**
 * How much a test tries: little in every run, all of it under `npm run test:long`. What is found there is fixed with a case that
 * runs every time.
 */
export const tries = (short: number, long: number): number => (isLong() ? long : short)

export const isLong = () => process.env.FERN_YARD_LONG === '1'

/** A figure for the tables of `docs/benchmarks.md`, told when all of it is tried. */
export function tell(what: string, share: number): void {
  if (isLong()) console.info(`${what}: ${(100 * share).toFixed(1)} %`)
}
