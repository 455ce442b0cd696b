import { faultFacts, log } from '../log'

/**
 * Reads each row of a list by itself. One that the database holds and nobody can read, as an older version or another program may have left it, is
 * named, and closes the list to nobody.
 */
export function readEach<Row, Read>(
  rows: readonly Row[],
  read: (row: Row) => Read,
  nameOf: (row: Row) => string,
): { read: Read[]; unread: string[] } {
  const found: Read[] = []
  const unread: string[] = []
  for (const row of rows)
    try {
      found.push(read(row))
    } catch (error) {
      log.warn({ unread: true, ...faultFacts(error) })
      unread.push(nameOf(row))
    }
  return { read: found, unread }
}
