import type { Knex } from 'knex'
import { type CardState, cardOf } from '@/core/card'
import {
  type Balance,
  balanceOf,
  beforeAfter,
  blindToIt,
  type InspectionItem,
  type InspectionState,
  inspectionItems,
  inspectionState,
  type PanelChange,
  type Payment,
  reachedClearing,
  stepsToSendTo,
  type Verdict,
} from '@/core/handover'
import type { Agreement } from '@/core/offer'
import type { Floor, FloorJob } from '@/core/planning'
import { dayIn } from '@/core/time'
import { panelsOf } from '@/core/vehicle'
import { type Care, loadCare } from '../aftercare/care'
import { listJobLinks } from '../links/job-links'
import type { PrivateLink } from '../links/private-links'
import { loadSurvey } from '../survey/survey-store'
import { loadLedger } from '../vehicles/ledger-store'
import { loadEntries } from '../work/acts-store'
import { removalsNow } from './hand-over'
import { listPayments, listVerdicts } from './handover-store'

/** Everything that goes home with a car, at one moment. */
export type Handover = {
  agreement: Agreement
  items: InspectionItem[]
  verdicts: Verdict[]
  inspection: InspectionState
  /** People who worked on its paint. */
  blind: string[]
  /** Steps a fault can be sent back to. */
  steps: { id: string; title: string }[]
  changes: PanelChange[]
  reached?: number
  care: Care
  card: CardState
  payments: Payment[]
  balance: Balance
  links: PrivateLink[]
}

/** Undefined where nothing was agreed. */
export async function loadHandover(db: Knex, floor: Floor, entry: FloorJob): Promise<Handover | undefined> {
  const { job, agreement, live } = entry
  if (!agreement || !live) return undefined
  const items = inspectionItems(job.vehicle.shape)
  const verdicts = await listVerdicts(db, job.id)
  const survey = await loadSurvey(db, job.id)
  const ledger = job.handedOverAt
    ? (await loadLedger(db, job.vehicle.id)).filter(({ jobId }) => jobId === job.id)
    : await removalsNow(db, job, agreement.summary, survey, dayIn(floor.shop.setup.timezone, floor.now))
  const payments = await listPayments(db, job.id)
  const reached = reachedClearing(items, verdicts)
  return {
    agreement,
    items,
    verdicts,
    inspection: inspectionState(items, verdicts),
    blind: [...blindToIt(live.plan, live.progress)],
    steps: stepsToSendTo(live.plan).map(({ id, title }) => ({ id, title })),
    changes: beforeAfter(panelsOf(job.vehicle.shape), survey.before, survey.after, ledger),
    ...(reached === undefined ? {} : { reached }),
    care: await loadCare(db, floor.shop, job.id),
    card: cardOf(live, await loadEntries(db, job.id)),
    payments,
    balance: balanceOf(agreement.totalCents, payments),
    links: await listJobLinks(db, job.id),
  }
}
