import { z } from 'zod'

/** What a backup holds and by what it is known again: the last file in it. */

export const MANIFEST = 'manifest.json'
export const DATABASE = 'fern-yard.db'
export const BACKUP_FORMAT = 'fern-yard/backup@1'

const file = z.strictObject({
  name: z.string().min(1).max(200),
  bytes: z.int().min(0),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
})

export const manifestSchema = z.strictObject({
  format: z.literal(BACKUP_FORMAT),
  /** UTC. */
  madeAt: z.iso.datetime(),
  /** The last step of the database: a program that does not know it must not read it. */
  step: z.string(),
  /** The last seal of the journal: whatever was written over since ends another way. */
  journal: z.string().nullable(),
  /** Rows of each table. */
  rows: z.record(z.string(), z.int().min(0)),
  files: z.array(file),
})
export type Manifest = z.infer<typeof manifestSchema>
