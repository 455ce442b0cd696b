import type { Knex } from 'knex'
import { type OperationId, toBayId, toOperationId, toPersonId, toProductId } from '@/core/ids'
import type { Job } from '@/core/job'
import { type Instant, localDayOrThrow, plusMinutes } from '@/core/time'
import { addPayment } from '../handover/handover-store'
import { listJobLinks, makeJobLink } from '../links/job-links'
import { listOwnerLinks, makeOwnerLink } from '../links/owner-links'
import { queueMessage } from '../messages/message-store'
import { addOutage } from '../planning/outage-store'
import { keepRefused } from '../queue/refused-store'
import { changePlan, findAgreement } from '../quotes/agreement-store'
import { saveLearned, shopVersion } from '../shop/shop-store'
import { addSpell, listAllSpells } from '../shop/spell-store'
import { writeAct } from '../work/acts-store'
import { listsSetDown } from './brought-list.fixture'
import { key } from './deed.fixture'

/** What must be there for the deeds to be done to: what has an id drawn by chance is put there beforehand. */
export async function made(
  db: Knex,
  now: Instant,
  car: Job,
  gone: Job,
  { dusty, before }: { dusty: Job; before: readonly OperationId[] },
) {
  await listsSetDown(db, now)
  await addPayment(db, car.id, { cents: 1000, way: 'cash', note: 'by mistake', at: now })
  const payment = (await db('payments').where({ job_id: car.id, note: 'by mistake' }).first('id'))!
  await makeJobLink(db, car.id, now, plusMinutes(now, 1440))
  const ownerToken = (await makeOwnerLink(db, gone.vehicle.id, now, plusMinutes(now, 1440)))!
  const message = { customerId: gone.customer.id, vehicleId: gone.vehicle.id, occasion: 'words' } as const
  const text = { language: 'en', channel: 'email', address: 'a@b.example', subject: 's', text: 't' } as const
  for (const name of ['withdrawn', 'answered'])
    await queueMessage(db, { key: key(name), ...message, ...text, notBefore: plusMinutes(now, 1440) }, now)
  const messageOf = async (name: string) =>
    (await db('messages')
      .where({ key: key(name) })
      .first('id'))!.id
  const [withdrawn, replied] = [await messageOf('withdrawn'), await messageOf('answered')]
  await db('message_events').insert({ message_id: replied, kind: 'replied', words: 'Thank you', at: now })
  const spell = { kind: 'cold', from: now, until: plusMinutes(now, 60) } as const
  await addSpell(db, { bay: toBayId('wash'), ...spell })
  const outage = { id: key('outage'), what: { kind: 'person' as const, id: toPersonId('senan') } }
  await addOutage(db, { ...outage, from: plusMinutes(now, 40_000), until: plusMinutes(now, 40_060) }, now)
  const entry = {
    id: key('refused'),
    kind: 'call',
    action: 'nobody.knows',
    input: 1,
    about: 'a thing',
  } as const
  const asked = { kind: 'note', operation: toOperationId('cut'), to: 'office', text: 'Which towel?' } as const
  const noted = { ...asked, id: key('asked'), job: car.id, by: toPersonId('merle'), at: now }
  await writeAct(db, noted, key('tablet'), now)
  // A car that was washed the day before yesterday, and nothing since.
  const times = { started_at: plusMinutes(now, -1700), ended_at: plusMinutes(now, -1640) }
  const washed = { job_id: dusty.id, by_person: toPersonId('brida'), version: 1, ...times }
  for (const operation_id of before) await db('progress').insert({ ...washed, operation_id })
  // It goes to the painter, of whom nothing on its card is waited for.
  const { plan } = (await findAgreement(db, car.id))!
  const id = toOperationId('vendor-fergus-paint')
  const title = { code: 'vendor', trade: 'paint', name: 'Fergus Dowd' } as const
  const hands = { mode: 'pausable', people: 1, skill: 'vendor-fergus-paint', away: 'car' } as const
  await changePlan(db, car.id, {
    ...plan,
    operations: [{ id, kind: 'vendor', title, minutes: 480, ...hands }, ...plan.operations],
    stays: [...plan.stays, { id: 'away', kind: 'offsite', operations: [id] }],
  })
  const why = { kind: 'words', message: 'This shop does not know it.' } as const
  await keepRefused(db, { id: entry.id, device: key('tablet'), at: now, entry, why })
  await saveLearned(db, await shopVersion(db), { pace: { cut: 1.2 } })
  await db('customers').where({ id: gone.customer.id }).update({ may_remind: 1, email: 'a@b.example' })
  const day = (text: string) => localDayOrThrow(text)
  await db('care_dates')
    .insert({
      vehicle_id: gone.vehicle.id,
      laid_on: day('2026-01-10'),
      product_id: toProductId('tern-top'),
      visit_from: day('2027-01-05'),
      visit_until: day('2027-02-05'),
      why: 'rhythm',
      good_low: day('2027-06-01'),
      good_mid: day('2028-01-01'),
      good_high: day('2029-01-01'),
      failing: 0,
    })
    .onConflict('vehicle_id')
    .merge()
  return {
    payment: payment.id,
    jobLink: (await listJobLinks(db, car.id))[0]!.hash,
    ownerToken,
    ownerLink: (await listOwnerLinks(db, gone.vehicle.id))[0]!.hash,
    withdrawn,
    replied,
    spell: (await listAllSpells(db)).find(({ kind }) => kind === 'cold')!.id,
  }
}
