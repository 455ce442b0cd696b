import { describe, expect, test } from 'vitest'
import { type Outage, openJobs, touchedBy } from '@/core/planning'
import type { ScheduleReason } from '@/core/schedule'
import { atLocal, instantOrThrow, localDayOrThrow } from '@/core/time'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { workOut } from './work-out'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW, 'years')
const at = (day: string, time: string) => atLocal('Europe/Dublin', localDayOrThrow(day), time)
/** The first plan will do: more time only makes it better. */
const atOnce = () => true

/** Cars that move though nothing of theirs was touched. */
async function othersMoved(
  what: Outage['what'],
  [from, until] = [at('2027-01-14', '00:00'), at('2027-01-15', '00:00')],
): Promise<{ touched: number; others: number; reasons: readonly ScheduleReason[] }> {
  const outage = { id: 'event', what, from, until }
  const touched = touchedBy(outage, openJobs(await loadFloor(shop.db, NOW)))
  const { proposal } = await workOut(shop.db, NOW, { kind: 'outage', outage }, atOnce)
  expect(proposal.planning.status).not.toBe('infeasible')
  return {
    touched: touched.size,
    others: proposal.changes.filter(({ job }) => !touched.has(job)).length,
    reasons: proposal.planning.reasons,
  }
}

describe('in a busy fortnight', () => {
  test('anybody who is away for a day moves at most four cars that do not need them then', async () => {
    const { shop: known } = await loadFloor(shop.db, NOW)
    for (const { id } of known.setup.people) {
      const { others } = await othersMoved({ kind: 'person', id })
      expect(others, id).toBeLessThanOrEqual(4)
    }
  })
  test('any bay that is out of use for a day moves at most four cars that do not stand in it then', async () => {
    const { shop: known } = await loadFloor(shop.db, NOW)
    for (const { id } of known.setup.places) {
      const { touched, others } = await othersMoved({ kind: 'place', id })
      expect(others, id).toBeLessThanOrEqual(touched === 0 ? 0 : 4)
    }
  })
  test.each(['air', 'power'] as const)(
    'a layer that comes too late because of the %s is told, and still few cars move that have nothing to do with it',
    async (kind) => {
      // The third layer of a car in the shop has to begin between 13:20 and 22:20.
      const { others, reasons } = await othersMoved({ kind }, [
        at('2027-01-13', '12:30'),
        at('2027-01-14', '12:00'),
      ])
      expect(reasons.map(({ operation }) => operation)).toContain('layer-3')
      expect(others).toBeLessThanOrEqual(4)
    },
  )
  test.each([
    ['2027-01-20', 2],
    ['2027-01-21', 2],
    ['2027-01-22', 3],
    ['2027-01-25', 3],
  ])(
    'a car that is back from its painter on %s and not on the 18th moves %i others at most',
    async (day, most) => {
      const { jobs } = await loadFloor(shop.db, NOW)
      const away = jobs.find(({ job }) => job.vehicle.plate === 'IM 2460')!.live!
      const operation = away.plan.operations.find(({ vendorId }) => vendorId)!.id
      const event = { kind: 'back', job: away.id, operation, dueBack: at(day, '08:15') } as const
      const { proposal } = await workOut(shop.db, NOW, { kind: 'car', event }, atOnce)
      expect(proposal.planning.status).not.toBe('infeasible')
      expect(proposal.changes.map(({ job }) => job)).toContain(away.id)
      expect(proposal.changes.length).toBeLessThanOrEqual(1 + most)
    },
  )
  test.each([
    ['IM 77', '2027-01-18', '16:00'],
    ['IM 8118', '2027-01-28', '12:00'],
  ])(
    '%s, needed sooner than it is planned, has three others make way for it at most',
    async (plate, day, time) => {
      const { jobs } = await loadFloor(shop.db, NOW)
      const { job } = jobs.find((each) => each.job.vehicle.plate === plate)!
      const by = at(day, time)
      const event = { kind: 'urgent', job: job.id, by } as const
      const { proposal } = await workOut(shop.db, NOW, { kind: 'car', event }, atOnce)
      const changed = proposal.changes.find((each) => each.job === job.id)
      expect(changed?.collectAfter).toBeDefined()
      expect(changed!.collectAfter! <= by).toBe(true)
      expect(proposal.changes.length).toBeLessThanOrEqual(4)
      expect(proposal.changes.filter(({ lateAfter, lateBefore }) => lateAfter > lateBefore)).toEqual([])
    },
  )
})
