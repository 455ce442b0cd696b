import fc from 'fast-check'
import type { Knex } from 'knex'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { toVehicleId } from '@/core/ids'
import { emptyIntake } from '@/core/intake/intake'
import type { Job } from '@/core/job'
import { instantOrThrow, plusMinutes } from '@/core/time'
import { openDatabase } from '../db/connection'
import { findJob, takeIn } from '../floor/job-store'
import { jobOfLink, listJobLinks, makeJobLink, revokeJobLink } from './job-links'
import { listOwnerLinks, makeOwnerLink, revokeOwnerLink, vehicleOfLink } from './owner-links'
import { mayMakeLink } from './private-links'

/** Private addresses of both kinds: what they open, for how long, and what they never open. */

const NOW = instantOrThrow('2027-01-13T10:00:00Z')
const LATER = plusMinutes(NOW, 1440)
let db: Knex
let job: Job
let other: Job

async function arrive(plate: string): Promise<Job> {
  const intake = {
    ...emptyIntake('2027-01-13'),
    customerName: `Owner of ${plate}`,
    plate,
    make: 'Marl',
    model: 'Puffin',
    colour: 'Slate',
    wishes: 'Clean.',
  }
  return (await findJob(db, await takeIn(db, intake, NOW, NOW)))!
}

beforeAll(async () => {
  db = await openDatabase(':memory:')
  job = await arrive('IM 1')
  other = await arrive('IM 2')
})
afterAll(() => db.destroy())

const KINDS = [
  {
    name: 'the sheet of a job',
    make: (of: Job) => makeJobLink(db, of.id, NOW, LATER),
    list: (of: Job) => listJobLinks(db, of.id),
    revoke: (hash: string) => revokeJobLink(db, hash, NOW),
    open: (token: string, at = NOW) => jobOfLink(db, token, at),
    opens: (of: Job) => of.id as unknown,
    table: 'private_links',
  },
  {
    name: 'the page of an owner',
    make: async (of: Job) => (await makeOwnerLink(db, of.vehicle.id, NOW, LATER))!,
    list: (of: Job) => listOwnerLinks(db, of.vehicle.id),
    revoke: (hash: string) => revokeOwnerLink(db, hash, NOW),
    open: (token: string, at = NOW) => vehicleOfLink(db, token, at),
    opens: (of: Job) => ({ vehicleId: of.vehicle.id, customerId: of.customer.id }) as unknown,
    table: 'owner_links',
  },
] as const

test('twenty addresses of one thing are open at a time, and one more where one was closed', async () => {
  const car = await arrive('IM 4')
  const may = (at = NOW) => mayMakeLink(db, 'owner_links', { vehicle_id: car.vehicle.id }, at)
  for (let made = 0; made < 20; made++) {
    expect(await may()).toBe(true)
    await makeOwnerLink(db, car.vehicle.id, NOW, LATER)
  }
  expect(await may()).toBe(false)
  expect(await may(LATER)).toBe(true)
  const [first] = await listOwnerLinks(db, car.vehicle.id)
  await revokeOwnerLink(db, first!.hash, NOW)
  expect(await may()).toBe(true)
})

describe.each(KINDS)('a private link to $name', ({ make, list, revoke, open, opens, table }) => {
  test('opens what it was made for, until its last moment, and no longer', async () => {
    const token = await make(job)
    expect(await open(token)).toEqual(opens(job))
    expect(await open(token, plusMinutes(LATER, -1))).toEqual(opens(job))
    expect(await open(token, LATER)).toBeUndefined()
  })
  test('is long enough not to be guessed, fits into an address, and is never made twice', async () => {
    const tokens = await Promise.all(Array.from({ length: 50 }, () => make(other)))
    expect(new Set(tokens).size).toBe(50)
    for (const token of tokens) expect(token).toMatch(/^[A-Za-z0-9_-]{24}$/)
  })
  test('is in the database by its hash alone', async () => {
    const token = await make(job)
    const rows = JSON.stringify(await db(table))
    expect(rows).not.toContain(token)
    const [kept] = await list(job)
    expect(kept!.hash).toMatch(/^[0-9a-f]{64}$/)
    // Whoever has read the database has no address.
    expect(await open(kept!.hash)).toBeUndefined()
  })
  test('that is taken back opens nothing, though others to the same do', async () => {
    const before = new Set((await list(job)).map(({ hash }) => hash))
    const [gone, stays] = [await make(job), await make(job)]
    const fresh = (await list(job)).filter(({ hash }) => !before.has(hash))
    expect(fresh).toHaveLength(2)
    // Which is which only the token tells.
    await revoke(fresh[0]!.hash)
    const opened = [await open(gone), await open(stays)].filter(Boolean)
    expect(opened).toEqual([opens(job)])
    expect((await list(job)).find(({ hash }) => hash === fresh[0]!.hash)!.revokedAt).toBe(NOW)
  })
  test('is listed with what it leads to alone, the latest first', async () => {
    const mine = (await list(job)).map(({ hash }) => hash)
    const theirs = (await list(other)).map(({ hash }) => hash)
    expect(mine.filter((hash) => theirs.includes(hash))).toEqual([])
    expect(theirs).toHaveLength(50)
  })
  test('that nobody made opens nothing, whatever it looks like', async () => {
    await make(job)
    await fc.assert(
      fc.asyncProperty(fc.string({ maxLength: 80 }), async (guess) => {
        expect(await open(guess)).toBeUndefined()
      }),
      { numRuns: 60 },
    )
  })
})

test('the page of a car that was sold opens for nobody who had it before', async () => {
  const sold = await arrive('IM 3')
  const token = (await makeOwnerLink(db, sold.vehicle.id, NOW, LATER))!
  await db('vehicles').where({ id: sold.vehicle.id }).update({ customer_id: job.customer.id })
  expect(await vehicleOfLink(db, token, NOW)).toBeUndefined()
})

test('of a vehicle that is not there no page is made', async () => {
  expect(await makeOwnerLink(db, toVehicleId('no-such-car'), NOW, LATER)).toBeUndefined()
})
