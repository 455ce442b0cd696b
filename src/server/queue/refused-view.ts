import type { Knex } from 'knex'
import type { Floor } from '@/core/planning'
import type { Why } from '@/core/queue'
import type { RefusedView } from '@/core/queue/refused-view'
import { everyone } from '@/core/shop'
import type { Instant } from '@/core/time'
import { ENTRY_WORDS } from '@/text/en/at-the-car'
import { conflictText } from '@/text/en/card'
import { stepTitle } from '@/text/en/step-names'
import { unreadRefused } from './refused-store'

export async function loadRefusedViews(
  db: Knex,
  floor: Floor,
  when: (at: Instant) => string,
): Promise<RefusedView[]> {
  const people = everyone(floor.shop.setup)
  const { region } = floor.shop.setup
  const who = (id: string) => people.find((person) => person.id === id)?.name ?? id
  const words = (why: Why) =>
    why.kind === 'words' ? why.message : conflictText(why.conflict, { who, when, region })
  return (await unreadRefused(db)).map(({ id, at, jobId, entry, why }) => {
    const plate = floor.jobs.find(({ job }) => job.id === jobId)?.job.vehicle.plate
    const step =
      entry.kind === 'act'
        ? floor.jobs
            .find(({ job }) => job.id === jobId)
            ?.live?.plan.operations.find((operation) => operation.id === entry.act.operation)?.title
        : undefined
    const what =
      entry.kind === 'call' ? entry.about : step ? `“${stepTitle(region, step)}”` : ENTRY_WORDS[entry.kind]
    return {
      id,
      at,
      ...(jobId ? { jobId } : {}),
      ...(plate ? { plate } : {}),
      what: entry.kind === 'act' ? `${what}, ${who(entry.by)}` : what,
      why: words(why),
    }
  })
}
