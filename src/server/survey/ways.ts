import type { Knex } from 'knex'
import { optionsOf, type PanelWay } from '@/core/correction'
import type { JobId } from '@/core/ids'
import { freeSettings } from '@/core/offer'
import { findJob } from '../floor/job-store'
import { findAgreement } from '../quotes/agreement-store'
import { loadWorked } from '../quotes/offers'
import { loadShop } from '../shop/shop-store'

/** Every method for every panel of a job that is agreed; empty where none is. */
export async function findAllWays(db: Knex, jobId: JobId): Promise<Map<string, PanelWay[]>> {
  const [job, agreement, shop] = [
    await findJob(db, jobId),
    await findAgreement(db, jobId),
    await loadShop(db),
  ]
  const template = shop.setup.packages.find(({ key }) => key === agreement?.packageKey)
  if (!job || !template) return new Map()
  const { input } = await loadWorked(db, shop, job)
  const settings = freeSettings(template, input)
  return new Map(
    input.judgement.panels.map((judged) => [
      judged.panel.id,
      optionsOf(judged, settings).map(({ method, removalUm, broken }): PanelWay => {
        const way = { key: method.key, name: method.name, takesUm: removalUm }
        return broken[0] ? { ...way, forbidden: broken[0].id } : way
      }),
    ]),
  )
}

/** Every method for a panel of a job that is agreed; empty where there is no such panel. */
export async function findWays(db: Knex, jobId: JobId, panel: string): Promise<PanelWay[]> {
  return (await findAllWays(db, jobId)).get(panel) ?? []
}
