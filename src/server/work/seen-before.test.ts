import { expect, test } from 'vitest'
import { instantOrThrow } from '@/core/time'
import { demoShop } from '../db/demo-shop.fixture'
import { visitsOf } from '../floor/job-store'
import { seenBefore } from './seen-before'

const shop = demoShop(instantOrThrow('2027-01-13T10:20:00Z'))

test('faults and looks of earlier visits stand at their panel, the newest first; good news is none, and later visits are not known', async () => {
  // The oldest and the newest car of the shop become one.
  const [oldest, newest] = [
    (await shop.db('jobs').orderBy('arrive_at').first())!,
    (await shop.db('jobs').orderBy('arrive_at', 'desc').first())!,
  ]
  const { vehicle_id } = oldest
  await shop.db('jobs').where({ id: newest.id }).update({ vehicle_id })
  const visits = await visitsOf(shop.db, vehicle_id)
  const [first, latest] = [visits[0]!, visits.at(-1)!]
  await shop
    .db('looks')
    .whereIn(
      'job_id',
      visits.map(({ id }) => id),
    )
    .del()
  await shop
    .db('inspections')
    .whereIn(
      'job_id',
      visits.map(({ id }) => id),
    )
    .del()
  const verdict = { job_id: first.id, verdict: 'good' as const, by_person: 'brida' as never }
  const on = (day: string) => instantOrThrow(`${day}T10:00:00Z`)
  await shop.db('inspections').insert([
    { ...verdict, item: 'roof', note: '', found: 'a hologram', at: on('2020-03-01') },
    { ...verdict, item: 'bonnet', note: '', found: null, at: on('2020-03-01') },
  ])
  const look = { cleaned: 1 as const, angle_x10: null, feel: null, cause: null, by_person: 'brida' as never }
  await shop
    .db('looks')
    .insert({ ...look, job_id: first.id, unit: 'roof', water: 'loose', note: '', at: on('2020-05-01') })
  const seen = await seenBefore(shop.db, latest, 'Europe/Dublin')
  expect(seen.get('roof')).toEqual([
    { day: '2020-05-01', note: '', water: 'loose' },
    { day: '2020-03-01', note: 'a hologram' },
  ])
  expect(seen.has('bonnet')).toBe(false)
  expect((await seenBefore(shop.db, first, 'Europe/Dublin')).size).toBe(0)
})
