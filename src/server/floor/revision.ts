import type { Knex } from 'knex'

/**
 * A word that changes with every act at a car, action, planning, spell of weather and message; cheap enough to be asked all day.
 */
export async function floorRevision(db: Knex): Promise<string> {
  const lasts = await Promise.all([
    db('acts').max({ last: 'position' }).first(),
    db('action_journal').max({ last: 'position' }).first(),
    db('plannings').max({ last: 'id' }).first(),
    db('refused_entries').count({ last: '*' }).first(),
    db('outages').count({ last: '*' }).first(),
    db('spells').count({ last: '*' }).first(),
    db('messages').max({ last: 'sent_at' }).first(),
    db('message_events').count({ last: '*' }).first(),
  ])
  return lasts.map((row) => row?.last ?? 0).join('-')
}
