import type { Knex } from 'knex'

/** A word that changes with every act at a car, every planning and every outage; cheap enough to be asked all day. */
export async function floorRevision(db: Knex): Promise<string> {
  const [act, planning, outage, spell] = await Promise.all([
    db('acts').max('position as last').first(),
    db('plannings').max('id as last').first(),
    db('outages').count('* as last').first(),
    db('spells').count('* as last').first(),
  ])
  return [act, planning, outage, spell].map((row) => row?.last ?? 0).join('-')
}
