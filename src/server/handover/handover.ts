import type { Knex } from 'knex'
import { cardOf } from '@/core/card'
import type { Handover } from '@/core/handover'
import {
  balanceOf,
  beforeAfter,
  inspectionItems,
  inspectionState,
  reachedClearing,
  reworkFor,
  stepsToSendTo,
} from '@/core/handover'
import { progressAt } from '@/core/job'
import type { Floor, FloorJob } from '@/core/planning'
import { dayIn } from '@/core/time'
import { panelsOfVehicle } from '@/core/vehicle'
import { loadCare } from '../aftercare/care'
import { listJobLinks } from '../links/job-links'
import { listPhotos } from '../photos/photo-store'
import { loadSurvey } from '../survey/survey-store'
import { loadLedger } from '../vehicles/ledger-store'
import { loadEntries } from '../work/acts-store'
import { eyesOf } from './eyes'
import { goingOut } from './going-out'
import { removalsNow } from './hand-over'
import { findLetGo, listPayments, listVerdicts } from './handover-store'

/** Undefined where nothing was agreed. */
export async function loadHandover(db: Knex, floor: Floor, entry: FloorJob): Promise<Handover | undefined> {
  const { job, agreement, live } = entry
  if (!agreement || !live) return undefined
  const items = inspectionItems(job.vehicle)
  const verdicts = await listVerdicts(db, job.id)
  const survey = await loadSurvey(db, job.id)
  const ledger = job.handedOverAt
    ? (await loadLedger(db, job.vehicle.id)).filter(({ jobId }) => jobId === job.id)
    : await removalsNow(db, job, agreement, survey, dayIn(floor.shop.setup.region.timezone, floor.now))
  const payments = await listPayments(db, job.id)
  const care = await loadCare(db, floor.shop, job.id, floor.now)
  const out = job.handedOverAt ? undefined : goingOut(floor, entry, care)
  const letGo = await findLetGo(db, job.id)
  const reached = reachedClearing(items, verdicts)
  return {
    agreement,
    items,
    verdicts,
    inspection: inspectionState(items, verdicts),
    eyes: eyesOf(floor, live),
    photos: await listPhotos(db, job.id),
    reworks: Object.fromEntries(
      items.flatMap(({ id }) => {
        const again = reworkFor(live.plan, id).map((step) => ({
          title: step.title,
          isDone: progressAt(live, step, floor.now).kind === 'done',
        }))
        return again.length > 0 ? [[id, again]] : []
      }),
    ),
    steps: stepsToSendTo(live.plan).map(({ id, title }) => ({ id, title })),
    changes: beforeAfter(panelsOfVehicle(job.vehicle), survey.before, survey.after, ledger, survey.marked),
    ...(reached === undefined ? {} : { reached }),
    care,
    ...(out ? { out } : {}),
    ...(letGo ? { letGo } : {}),
    card: cardOf(live, await loadEntries(db, job.id)),
    payments,
    balance: balanceOf(agreement.totalCents, payments),
    links: await listJobLinks(db, job.id),
  }
}
