import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import path from 'node:path'
import { expect, test } from 'vitest'
import { connect } from './connection'
import { describeTables } from './describe-tables'
import { MIGRATIONS, migrate } from './migrations'

const FILE = path.join(import.meta.dirname, 'tables.ts')
const BIOME = path.resolve(import.meta.dirname, '../../../node_modules/.bin/biome')

test('the types of the tables are those of the database that the migrations make; if not: npm run tables', async () => {
  const db = connect(':memory:')
  await migrate(db, MIGRATIONS)
  const described = await describeTables(db)
  await db.destroy()
  const formatted = execFileSync(BIOME, ['format', `--stdin-file-path=${FILE}`], { input: described })
  expect(formatted.toString()).toBe(readFileSync(FILE, 'utf8'))
})

test('what may be empty, is a noun’s id or one of a few choices is known as that', () => {
  const text = readFileSync(FILE, 'utf8')
  const row = (name: string) => new RegExp(`export type ${name} = \\{([^}]*)\\}`).exec(text)![1]!
  expect(row('PaymentsRow')).toContain("way: 'card' | 'cash' | 'transfer'")
  expect(row('PaymentsRow')).toContain('job_id: JobId')
  expect(row('PaymentsRow')).toContain('taken_back_at: string | null')
  expect(row('JobsRow')).toContain('from_job_id: JobId | null')
  expect(row('JobsRow')).toContain('on_guarantee: 0 | 1')
})
