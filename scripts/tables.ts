/** Writes the types of the tables anew, after a migration was added. */
import { execFileSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import path from 'node:path'
import { connect } from '@/server/db/connection'
import { describeTables } from '@/server/db/describe-tables'
import { MIGRATIONS, migrate } from '@/server/db/migrations'

const ROOT = path.resolve(import.meta.dirname, '..')
const FILE = path.join(ROOT, 'src/server/db/tables.ts')

const db = connect(':memory:')
await migrate(db, MIGRATIONS)
writeFileSync(FILE, await describeTables(db))
await db.destroy()
execFileSync(path.join(ROOT, 'node_modules/.bin/biome'), ['format', '--write', FILE], { stdio: 'inherit' })
