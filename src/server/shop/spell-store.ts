import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { type Instant, instantOrThrow } from '@/core/time'
import { SPELL_KINDS, type Spell } from '@/devices/climate-sensor'
import { oneOf } from '../db/one-of'
import type { SpellsRow } from '../db/tables'

/** What the simulated sensors are to meet: spells of weather, and of failing. */
export type StoredSpell = Spell & { id: string }

const toSpell = (row: SpellsRow): StoredSpell => ({
  id: row.id,
  bay: row.bay,
  kind: oneOf(SPELL_KINDS, row.kind),
  from: instantOrThrow(row.from_at),
  until: instantOrThrow(row.until_at),
})

export async function listAllSpells(db: Knex): Promise<StoredSpell[]> {
  return (await db('spells').orderBy('from_at')).map(toSpell)
}

/** Those that are on or still to come. */
export async function listSpells(db: Knex, now: Instant): Promise<StoredSpell[]> {
  return (await db('spells').where('until_at', '>', now).orderBy('from_at')).map(toSpell)
}

export async function addSpell(db: Knex, { bay, kind, from, until }: Spell): Promise<void> {
  await db('spells').insert({ id: randomUUID(), bay, kind, from_at: from, until_at: until })
}

export async function endSpell(db: Knex, id: string): Promise<void> {
  await db('spells').where({ id }).delete()
}
