import type { Knex } from 'knex'
import { cardOf, type ProcessChange } from '@/core/card'
import { liquidsAt } from '@/core/card/liquids'
import { takesOf } from '@/core/card/takes'
import { worklist, workNow } from '@/core/card/worklist'
import { sheetThen } from '@/core/coating'
import type { OperationId } from '@/core/ids'
import { type Job, type LiveJob, progressAt } from '@/core/job'
import { type Agreement, agreedWork, type PlannedOperation } from '@/core/offer'
import type { Floor } from '@/core/planning'
import type { Shop } from '@/core/shop'
import type { Takes, ToCome } from '@/core/stock'
import { dayIn, type LocalDay } from '@/core/time'
import { panelsOfVehicle, singleStagePanels } from '@/core/vehicle'
import { findJob } from '../floor/job-store'
import { findAgreement } from '../quotes/agreement-store'
import { washLines } from '../survey/wash-plan'
import { entriesWith, loadEntries } from '../work/acts-store'

/** What the steps of real jobs take of the shelf. */

type Of = { job: Job; agreement: Agreement; processes: readonly ProcessChange[] }

/** What each step of a job takes, by its recipe, its sections and its wash. */
async function takesOfJob(
  db: Knex,
  shop: Shop,
  { job, agreement, processes }: Of,
): Promise<(operation: PlannedOperation) => Takes> {
  const { setup } = shop
  const panels = panelsOfVehicle(job.vehicle)
  const singleStage = singleStagePanels(job.vehicle)
  const work = workNow(agreedWork(agreement.summary), processes, setup.methods)
  const wash = await washLines(db, job, shop)
  return (operation) => {
    const product = operation.productId && sheetThen(shop, operation.productId, agreement.agreedAt)
    const sectionM = product ? product.sectionM : undefined
    const { tasks, recipes } = worklist(operation, panels, work, agreement.summary.care, sectionM)
    const supplies = setup.supplies
    const liquids = liquidsAt(operation, { recipes, panels, supplies, singleStage })
    return takesOf({ operation, tasks, recipes, liquids, panels, wash })
  }
}

/** What one step of a job takes; nothing where there is no such step. */
export async function takesOfStep(
  db: Knex,
  shop: Shop,
  live: LiveJob,
  operation: OperationId,
): Promise<Takes | undefined> {
  const [job, agreement] = [await findJob(db, live.id), await findAgreement(db, live.id)]
  const step = live.plan.operations.find(({ id }) => id === operation)
  if (!job || !agreement || !step) return undefined
  const { processes } = cardOf(live, await loadEntries(db, live.id))
  return (await takesOfJob(db, shop, { job, agreement, processes }))(step)
}

/** What the steps of a job that are done have taken. */
export async function takesOfDone(
  db: Knex,
  shop: Shop,
  { job, agreement, live, processes }: Of & { live: LiveJob },
): Promise<Takes[]> {
  const takesOfIt = await takesOfJob(db, shop, { job, agreement, processes })
  return live.plan.operations.filter(({ id }) => live.progress[id]?.kind === 'done').map(takesOfIt)
}

/** The steps that are planned up to a day and not yet done, with what they take. */
export async function stepsToCome(db: Knex, { jobs, now, shop }: Floor, until: LocalDay): Promise<ToCome[]> {
  const zone = shop.setup.region.timezone
  const open = jobs.filter(({ live, agreement, stage }) => live && agreement && stage.kind !== 'handed-over')
  const changed = await entriesWith(
    db,
    'process',
    open.map(({ job }) => job.id),
  )
  const steps: ToCome[] = []
  for (const { job, live, agreement } of open) {
    const near = live!.plan.operations.flatMap((operation) => {
      const placed = live!.published.find((each) => each.operation === operation.id)
      const isOpen = progressAt(live!, operation, now).kind !== 'done'
      return placed && isOpen && dayIn(zone, placed.start) <= until ? [{ operation, at: placed.start }] : []
    })
    if (near.length === 0) continue
    const { processes } = cardOf(live!, changed.get(job.id) ?? [])
    const takesOfIt = await takesOfJob(db, shop, { job, agreement: agreement!, processes })
    for (const { operation, at } of near)
      steps.push({ takes: takesOfIt(operation), at, plate: job.vehicle.plate, title: operation.title })
  }
  return steps
}
