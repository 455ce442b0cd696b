import type { Knex } from 'knex'
import { cardOf, coatAt, workOn } from '@/core/card'
import type { WetElsewhere } from '@/core/card/view'
import { believed } from '@/core/climate'
import { flashBand, SHEET_AIR, sheetThen } from '@/core/coating'
import type { JobId } from '@/core/ids'
import type { Floor } from '@/core/planning'
import { bayAir } from '../shop/air'
import { entriesWith } from './acts-store'

/** Sections that flash on other cars than this one. */
export async function loadWetElsewhere(
  db: Knex,
  { jobs, shop, now }: Pick<Floor, 'jobs' | 'shop' | 'now'>,
  jobId: JobId,
): Promise<WetElsewhere[]> {
  const coating = jobs.flatMap(({ job, live, agreement }) => {
    const operation =
      job.id === jobId
        ? undefined
        : live?.plan.operations.find(
            ({ id, kind }) => kind === 'layer' && live.progress[id]?.kind === 'started',
          )
    return live && operation && agreement ? [{ job, live, operation, agreement }] : []
  })
  if (coating.length === 0) return []
  const entries = await entriesWith(
    db,
    'coat',
    coating.map(({ job }) => job.id),
  )
  const bayOf = ({ live, operation }: (typeof coating)[number]) =>
    live.published.find((placed) => placed.operation === operation.id)?.place
  const air = await bayAir(
    db,
    shop.setup,
    coating.flatMap((each) => bayOf(each) ?? []),
    now,
  )
  return coating.flatMap((each): WetElsewhere[] => {
    const { job, live, operation, agreement } = each
    const product = operation.productId && sheetThen(shop, operation.productId, agreement.agreedAt)
    if (!product) return []
    const bay = bayOf(each)
    const { airC, rhPercent } = (bay && believed(air.get(bay))) ?? SHEET_AIR
    const flash = flashBand(product, airC, rhPercent)
    const work = workOn(cardOf(live, entries.get(job.id) ?? []), operation.id)
    return Object.keys(work.coats).flatMap((key): WetElsewhere[] => {
      const [panel, number] = key.split('/') as [string, string | undefined]
      const section = Number(number ?? 1)
      const known = coatAt(work, panel, section)
      return known?.stage === 'wet'
        ? [{ plate: job.vehicle.plate, panel, section, at: known.at, by: known.by, flash }]
        : []
    })
  })
}
