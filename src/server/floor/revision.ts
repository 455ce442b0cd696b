import type { Knex } from 'knex'

/**
 * A word that changes with every act at a car, action, planning, spell of weather and message; cheap enough to be asked all day.
 */
export async function floorRevision(db: Knex): Promise<string> {
  const lasts = await Promise.all([
    db('acts').max('position as last').first(),
    db('action_journal').max('position as last').first(),
    db('plannings').max('id as last').first(),
    db('refused_entries').count('* as last').first(),
    db('outages').count('* as last').first(),
    db('spells').count('* as last').first(),
    db('messages').max('sent_at as last').first(),
    db('message_events').count('* as last').first(),
  ])
  return lasts.map((row) => row?.last ?? 0).join('-')
}
