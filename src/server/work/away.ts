import type { Knex } from 'knex'
import { cardOf, workOn } from '@/core/card'
import { type Away, awayNow } from '@/core/job'
import type { AwaitedThere, AwayThere, Floor } from '@/core/planning'
import { entriesWith } from './acts-store'

/** What was ordered for steps of cars on the floor and has not come, what is due first first. */
export function awaitedOn({ jobs }: Pick<Floor, 'jobs'>): AwaitedThere[] {
  return jobs
    .flatMap(({ job, live }) =>
      // A step that was dropped, or written down afterwards, waits for nothing any more.
      (live?.plan.operations ?? []).flatMap(({ id }): AwaitedThere[] => {
        const order = live?.awaited?.[id]
        const isOpen = (live?.progress[id]?.kind ?? 'open') === 'open' && !job.handedOverAt
        return order && isOpen ? [{ jobId: job.id, plate: job.vehicle.plate, operation: id, ...order }] : []
      }),
    )
    .toSorted((a, b) => a.due.localeCompare(b.due))
}

/** What of the cars on the floor is away, and what leaves soon: what is late first. */
export async function loadAway(db: Knex, { jobs, now }: Pick<Floor, 'jobs' | 'now'>): Promise<AwayThere[]> {
  const there = jobs.flatMap(({ job, live }) =>
    live && !job.handedOverAt ? awayNow(live, now).map((away) => ({ job, live, away })) : [],
  )
  const said = await entriesWith(db, 'due-back', [...new Set(there.map(({ job }) => job.id))])
  const list = there.map(({ job, live, away }): AwayThere => {
    const told = workOn(cardOf(live, said.get(job.id) ?? []), away.operation.id).said
    const note = told.findLast((each) => each.note !== '')?.note
    return {
      ...away,
      jobId: job.id,
      plate: job.vehicle.plate,
      ...(away.out && told[0] ? { firstSaid: told[0].back } : {}),
      ...(note ? { note } : {}),
    }
  })
  const rank = ({ late, out }: Away) => (late ? 0 : out ? 1 : 2)
  return list.toSorted((a, b) => rank(a) - rank(b))
}
