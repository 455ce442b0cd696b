import type { Migration } from './migration'

/**
 * Records that are written once and only end, such as payments, links and held slots: that they were made is kept with what stands in them, and
 * later what changed. Nothing that tells who a customer is stands here.
 */

/** Said under another name where its own says too little. */
const SAID_AS: Readonly<Record<string, string>> = { cents: 'paid_cents' }

type Kept = {
  table: string
  /** Under which record it is looked for; one of all there are where nothing is said. */
  key?: string
  /** Where many stand on one page: the column that tells which it is. */
  named?: string
  made?: readonly string[]
  changing?: readonly string[]
  gone?: readonly string[]
}

const KEPT: readonly Kept[] = [
  {
    table: 'quotes',
    key: 'job_id',
    named: 'version',
    made: ['package_name', 'total_cents', 'valid_until'],
    changing: ['said', 'said_how'],
  },
  {
    table: 'agreements',
    key: 'job_id',
    made: ['package_name', 'total_cents', 'promised_for'],
    changing: ['package_name', 'total_cents', 'promised_for'],
  },
  { table: 'payments', key: 'job_id', made: ['cents', 'way'], changing: ['taken_back_at'] },
  { table: 'private_links', key: 'job_id', made: ['expires_at'], changing: ['revoked_at'] },
  { table: 'owner_links', key: 'vehicle_id', made: ['expires_at'], changing: ['revoked_at'] },
  { table: 'feeds', named: 'of_id', made: ['made_at'], changing: ['revoked_at'] },
  { table: 'photos', key: 'job_id', named: 'place', changing: ['removed_at', 'shows'] },
  {
    table: 'holds',
    named: 'package_name',
    made: ['bring_at', 'collect_at', 'until_day'],
    changing: ['bring_at', 'collect_at', 'until_day', 'freed_at'],
  },
  {
    table: 'outages',
    named: 'kind',
    made: ['what_id', 'from_at', 'until_at'],
    changing: ['until_at', 'ended_at'],
  },
  {
    table: 'bottles',
    named: 'code',
    made: ['product_id', 'lot', 'arrived_on'],
    changing: ['opened_on', 'gone_on'],
  },
  { table: 'stock_orders', named: 'of', made: ['ordered_at', 'due'], changing: ['due', 'ended_at', 'came'] },
  { table: 'reorder_points', named: 'product_id', made: ['ml'], changing: ['ml'] },
  { table: 'retention', named: 'kind', made: ['months'], changing: ['months'] },
  { table: 'removals', key: 'vehicle_id', named: 'panel', made: ['removed_um_x10'] },
  { table: 'panel_consents', key: 'job_id', named: 'panel', made: ['agreed_at'], gone: ['agreed_at'] },
  { table: 'pins', key: 'job_id', made: ['operation_id'], gone: ['operation_id'] },
  { table: 'promises', key: 'job_id', named: 'version', made: ['signed_at'] },
  // Whose changes are kept already: what was first written, and what is no more.
  { table: 'templates', key: 'occasion', made: ['subject', 'text'], gone: ['subject', 'text'] },
  { table: 'staff_rules', key: 'one', made: ['idle_minutes', 'floor_contacts'] },
  { table: 'accounts', key: 'id', named: 'name', made: ['role', 'person_id'] },
  { table: 'supplies', key: 'id', named: 'name', made: ['clean', 'washes_most', 'reorder_at'] },
  { table: 'paired_devices', named: 'name', made: ['paired_at'], changing: ['unpaired_at'] },
]

const asJson = (side: 'OLD' | 'NEW', columns: readonly string[], { named }: Kept) => {
  const fields = columns.map((column) => `'${SAID_AS[column] ?? column}', ${side}."${column}"`)
  const json = `json_object(${fields.join(', ')})`
  return named ? `json_object(CAST(${side}."${named}" AS TEXT), ${json})` : json
}

const NOTHING = "'{}'"

const keep = ({ table, key }: Kept, side: 'OLD' | 'NEW', before: string, after: string) =>
  `BEGIN
     INSERT INTO row_changes (of_table, row_key, before, after)
     VALUES ('${table}', ${key ? `CAST(${side}.${key} AS TEXT)` : "''"}, ${before}, ${after});
   END`

function triggers(kept: Kept): string[] {
  const { table, made, changing, gone } = kept
  const found: string[] = []
  if (made)
    found.push(
      `CREATE TRIGGER ${table}_made AFTER INSERT ON ${table}
       ${keep(kept, 'NEW', NOTHING, asJson('NEW', made, kept))}`,
    )
  if (changing)
    found.push(
      `CREATE TRIGGER ${table}_changed AFTER UPDATE OF ${changing.map((each) => `"${each}"`).join(', ')} ON ${table}
       WHEN ${changing.map((column) => `OLD."${column}" IS NOT NEW."${column}"`).join(' OR ')}
       ${keep(kept, 'NEW', asJson('OLD', changing, kept), asJson('NEW', changing, kept))}`,
    )
  if (gone)
    found.push(
      `CREATE TRIGGER ${table}_gone AFTER DELETE ON ${table}
       ${keep(kept, 'OLD', asJson('OLD', gone, kept), NOTHING)}`,
    )
  return found
}

export const moreRowChanges: Migration = {
  name: '0052-more-row-changes',
  statements: KEPT.flatMap(triggers),
}
