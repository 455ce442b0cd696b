import type { Knex } from 'knex'

/** A step from one shape of the database to the next: statements that run in one transaction with their record. */
export type Migration = { name: string; statements: readonly string[] }

export class UnknownHistory extends Error {}

/**
 * Brings a database up to date. Refuses one whose history is not a beginning of ours: it was written by a newer
 * version, or is not ours at all.
 */
export async function migrate(db: Knex, migrations: readonly Migration[]): Promise<string[]> {
  await db.raw(
    'CREATE TABLE IF NOT EXISTS migrations (position INTEGER PRIMARY KEY, name TEXT NOT NULL) STRICT',
  )
  const done: { name: string }[] = await db('migrations').orderBy('position').select('name')
  for (const [position, { name }] of done.entries())
    if (migrations[position]?.name !== name)
      throw new UnknownHistory(
        `The database has a step “${name}” this version does not know. Start the version that wrote it, or point FERN_YARD_DATA to another folder.`,
      )
  const open = migrations.slice(done.length)
  for (const [index, migration] of open.entries())
    await db.transaction(async (trx) => {
      for (const statement of migration.statements) await trx.raw(statement)
      await trx('migrations').insert({ position: done.length + index, name: migration.name })
    })
  return open.map(({ name }) => name)
}
