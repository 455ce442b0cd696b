/** What is different between a record before and after: field by field, down into what was kept as JSON. */

export type ChangedField = {
  /** From the outside in, such as `setup`, `rates`, `consumablesCents`. */
  path: readonly string[]
  before: unknown
  after: unknown
}

/** No more is told of one change: a whole new list is not read field by field. */
export const FIELDS_MOST = 12

/** What was kept as JSON in a column, as what it is. */
function opened(value: unknown): unknown {
  if (typeof value !== 'string' || !/^[[{]/.test(value)) return value
  try {
    return JSON.parse(value)
  } catch {
    return value
  }
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Lists whose members have names are compared member by member, others as a whole. */
function asRecord(value: unknown): Record<string, unknown> | undefined {
  if (isRecord(value)) return value
  if (!Array.isArray(value)) return undefined
  const named = value.map((each) => [isRecord(each) ? (each.id ?? each.key ?? each.name) : undefined, each])
  return named.every(([name]) => typeof name === 'string') ? Object.fromEntries(named) : undefined
}

const isPlain = (value: unknown) => typeof value !== 'object' || value === null

/** Of a whole record that is new, or gone, each field is told, where all of them are plain. */
const missing = (
  path: readonly string[],
  value: unknown,
  other: unknown,
): Record<string, unknown> | undefined =>
  path.length === 1 && value === undefined && isRecord(other) && Object.values(other).every(isPlain)
    ? {}
    : undefined

/** The fields that differ, those of the record's own order first; at most `FIELDS_MOST`. */
export function changedFields(before: unknown, after: unknown): ChangedField[] {
  return differing(before, after, []).slice(0, FIELDS_MOST)
}

function differing(one: unknown, other: unknown, path: readonly string[]): ChangedField[] {
  const [before, after] = [opened(one), opened(other)]
  if (JSON.stringify(before) === JSON.stringify(after)) return []
  const [within, now] = [
    asRecord(before) ?? missing(path, before, after),
    asRecord(after) ?? missing(path, after, before),
  ]
  if (!within || !now) return [{ path, before, after }]
  const names = [...new Set([...Object.keys(within), ...Object.keys(now)])]
  return names.flatMap((name) => differing(within[name], now[name], [...path, name]))
}
