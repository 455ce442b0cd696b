import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import type { LiveJob } from '@/core/job'
import { type Foreseen, type Outage, openJobs, touchedBy } from '@/core/planning'
import { everyone, isHandOf } from '@/core/shop'
import { atLocal, type Instant, instantOrThrow, localDayOrThrow, plusDays } from '@/core/time'
import { connect } from '@/server/db/connection'
import { loadFloor } from '@/server/floor/floor'
import { workOut } from '@/server/planning/work-out'
import { copyShop } from '../demo/copy'

/**
 * How little events move: on the demo's busy shop everybody is away for a day in turn, every bay is out of use, everybody from outside comes two days
 * late, and a car that is away comes back late. Counted are the cars that move though nothing of theirs was touched. The figures stand in docs/benchmarks.md.
 */

const CLOCK = instantOrThrow('2027-01-13T10:20:00Z')
const TOMORROW = localDayOrThrow('2027-01-14')
const LATE_DAYS = 2
const BACK_LATE_DAYS = [2, 4, 7]

type Row = { event: string; touched: number; 'others moved': number; steps: number; late: number; ms: number }

export async function eventsBench(): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-events-'))
  copyShop(folder, CLOCK, 'years')
  const db = connect(path.join(folder, 'fern-yard.db'))
  const floor = await loadFloor(db, CLOCK)
  const { setup } = floor.shop
  const zone = setup.region.timezone
  const jobs = openJobs(floor)
  const on = (what: Outage['what'], from: Instant, until: Instant): Outage => ({
    id: 'event',
    what,
    from,
    until,
  })
  const day = [atLocal(zone, TOMORROW, '00:00'), atLocal(zone, plusDays(TOMORROW, 1), '00:00')] as const
  const visits = jobs.flatMap(({ published }) => published).filter(({ start }) => start > CLOCK)
  const outside = everyone(setup).filter(({ id }) => !setup.people.some((own) => own.id === id))
  const outages = [
    ...setup.people.map(({ id, name }) => ({
      name: `${name} away`,
      outage: on({ kind: 'person', id }, ...day),
    })),
    ...setup.places.map(({ id, name }) => ({
      name: `${name} out`,
      outage: on({ kind: 'place', id }, ...day),
    })),
    ...outside.flatMap(({ id, name }) => {
      const [first] = visits
        .filter(({ people }) => people.some((person) => isHandOf(person, id)))
        .map(({ start }) => start)
        .sort()
      const until = first && atLocal(zone, plusDays(localDayOrThrow(first.slice(0, 10)), LATE_DAYS), '08:00')
      return until ? [{ name: `${name} late`, outage: on({ kind: 'person', id }, CLOCK, until) }] : []
    }),
  ]
  const events: { name: string; touched: ReadonlySet<string>; what: Foreseen }[] = [
    ...outages.map(({ name, outage }) => ({
      name,
      touched: touchedBy(outage, jobs),
      what: { kind: 'outage', outage } as const,
    })),
    ...jobs.flatMap((job) => lateBack(job, zone)),
  ]
  const rows: Row[] = []
  for (const { name, touched, what } of events) {
    const from = performance.now()
    const { proposal } = await workOut(db, CLOCK, what)
    const others = proposal.changes.filter(({ job }) => !touched.has(job))
    rows.push({
      event: name,
      touched: touched.size,
      'others moved': others.length,
      steps: proposal.changes.reduce((sum, { moved }) => sum + moved.length, 0),
      late: proposal.changes.filter(({ lateAfter, lateBefore }) => lateAfter > lateBefore).length,
      ms: Math.round(performance.now() - from),
    })
  }
  console.log(`events: ${jobs.length} cars`)
  console.table(rows)
  await db.destroy()
  rmSync(folder, { recursive: true, force: true })
}

/** What of a car is away comes back so many days after it was planned to. */
function lateBack(
  job: LiveJob,
  zone: string,
): { name: string; touched: ReadonlySet<string>; what: Foreseen }[] {
  const away = job.plan.operations.find(({ id, away }) => away && job.progress[id]?.kind === 'started')
  const placed = away && job.published.find(({ operation }) => operation === away.id)
  if (!placed) return []
  return BACK_LATE_DAYS.map((days) => {
    const dueBack = atLocal(zone, plusDays(localDayOrThrow(placed.end.slice(0, 10)), days), '08:15')
    const event = { kind: 'back', job: job.id, operation: placed.operation, dueBack } as const
    return { name: `back ${days} days late`, touched: new Set([job.id]), what: { kind: 'car', event } }
  })
}
