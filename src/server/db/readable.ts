import { faultFacts, log } from '../log'

/**
 * Rows as what they stand for. One that cannot be read, since something else wrote it or an older version was wrong, is left out and
 * told to the log: it must not take all others with it.
 */
export function readable<Row extends object, Noun>(
  rows: readonly Row[],
  toNoun: (row: Row) => Noun,
  what: (row: Row) => Record<string, unknown>,
): Noun[] {
  return rows.flatMap((row) => {
    try {
      return [toNoun(row)]
    } catch (error) {
      log.error({ unreadable: what(row), ...faultFacts(error) })
      return []
    }
  })
}
