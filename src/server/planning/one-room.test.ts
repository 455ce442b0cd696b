import { expect, test } from 'vitest'
import { calendarNow, openJobs, planningProblem, typedCrew } from '@/core/planning'
import { checkSchedule, MoveDesk, type Schedule } from '@/core/schedule'
import { instantOrThrow } from '@/core/time'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { loadShop, saveCrew, shopVersion } from '../shop/shop-store'
import { calendarToMove } from './moving'
import { loadPublished } from './plan-store'
import { takeProposal } from './take-proposal'
import { propose } from './work-out'

/** A shop that says its lofts are one room, with a calendar that was made before it said so. */

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)

const spoilt = async () => {
  const floor = await loadFloor(shop.db, NOW)
  const { problem } = planningProblem(calendarNow(floor), openJobs(floor), { now: NOW })
  const jobs = new Set<string>(problem.jobs.map(({ id }) => id))
  const operations = [...(await loadPublished(shop.db)).values()].flat().filter(({ job }) => jobs.has(job))
  const schedule = { status: 'feasible', operations, reasons: [] } as unknown as Schedule
  return checkSchedule(problem, schedule).filter(({ rule }) => rule === 'air')
}

test('what was planned with dust beside an open coat is planned again without, and then moved by hand as ever', async () => {
  const { setup } = await loadShop(shop.db)
  const typed = typedCrew(setup)
  const places = typed.places.map((bay) => ({
    ...bay,
    room: bay.kinds.includes('studio') ? 'Net loft' : undefined,
  }))
  const crew = { ...typed, places } as Parameters<typeof saveCrew>[2]
  expect(await saveCrew(shop.db, await shopVersion(shop.db), crew)).toBe(true)
  expect((await spoilt()).length).toBeGreaterThan(0)
  expect(await calendarToMove(shop.db, NOW)).toMatchObject({ kind: 'blocked' })

  const proposal = await propose(shop.db, NOW, { kind: 'everything' })
  expect(proposal.reasons).toEqual([])
  expect(await takeProposal(shop.db, proposal.id, NOW)).toEqual({ kind: 'taken' })
  expect(await spoilt()).toEqual([])
  const open = await calendarToMove(shop.db, NOW)
  if (open.kind !== 'open') throw new Error(JSON.stringify(open))
  const desk = new MoveDesk(open.problem, open.operations)
  expect(checkSchedule(open.problem, desk.scheduleWith({ operations: [] }))).toEqual([])
})
