import type { Knex } from 'knex'
import { type PanelWay, PROCESSES, panelOption } from '@/core/correction'
import type { JobId } from '@/core/ids'
import { freeSettings } from '@/core/offer'
import { findJob } from '../floor/job-store'
import { findAgreement } from '../quotes/agreement-store'
import { loadWorked } from '../quotes/offers'
import { loadShop } from '../shop/shop-store'

/** Every process for every panel of a job that is agreed; empty where none is. */
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
      PROCESSES.map((process): PanelWay => {
        const { removalUm, broken } = panelOption(judged, process, settings)
        const way = { key: process.key, takesUm: removalUm }
        return broken[0] ? { ...way, forbidden: broken[0].id } : way
      }),
    ]),
  )
}

/** Every process for a panel of a job that is agreed; empty where there is no such panel. */
export async function findWays(db: Knex, jobId: JobId, panel: string): Promise<PanelWay[]> {
  return (await findAllWays(db, jobId)).get(panel) ?? []
}
