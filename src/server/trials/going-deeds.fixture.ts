import type { Knex } from 'knex'
import { toProductId } from '@/core/ids'
import type { Job } from '@/core/job'
import { type Instant, plusMinutes } from '@/core/time'
import { action } from './deed.fixture'
import type { Deed } from './filled-in.fixture'

/** Deeds at cars that leave: for the painter, who has it longer than was said, or for home. */

const AS_SIGNED = {
  how: 'exception',
  name: 'Killed Thrice',
  signature: [
    [
      [0.1, 0.1],
      [0.4, 0.2],
    ],
  ],
}

/** The last step of a finished car ended half an hour ago, with a coat that may not get wet yet. */
export async function coatedJustNow(db: Knex, now: Instant, { id }: Job): Promise<void> {
  const last = (await db('progress').where({ job_id: id }).orderBy('ended_at', 'desc').first())!
  const step = { job_id: id, operation_id: last.operation_id }
  await db('progress')
    .where(step)
    .update({ ended_at: plusMinutes(now, -30) })
  await db('layers').insert({
    ...step,
    product_id: toProductId('ebb-single'),
    lot: 'EB-1',
    air_c_x10: 190,
    rh_x10: 480,
    panel_c_x10: 185,
  })
}

export const goingDeeds = ({ id: jobId }: Job): Deed[] => [
  action('kept-in', 'handover.keep-in', { jobId }),
  action('kept-no-more', 'handover.end-keeping-in', { jobId }),
  action('home', 'handover.hand-over', { jobId, owing: true, goes: AS_SIGNED }),
  action('taken-back', 'handover.take-back', { jobId }),
  action('home-again', 'handover.hand-over', { jobId, owing: true, goes: AS_SIGNED }),
]

export const awayDeeds = ({ id: jobId }: Job): Deed[] => [
  action('move-away', 'work.move-away', {
    jobId,
    operation: 'vendor-fergus-paint',
    by: 'oran',
    what: { kind: 'out', day: '2027-01-20', time: '12:00' },
  }),
  action('late', 'planning.foresee-for-car', {
    kind: 'back',
    job: jobId,
    operation: 'vendor-fergus-paint',
    at: { day: '2027-01-21', time: '12:00' },
  }),
]
