import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { blindToIt, inspectionItems, stepsToSendTo } from '@/core/handover'
import { toBayId, toPersonId } from '@/core/ids'
import type { Intake } from '@/core/intake/intake'
import { nimble } from '@/core/intake/intake.fixture'
import type { Job } from '@/core/job'
import { type Choices, chosenOffer, daysOfCalendar } from '@/core/offer'
import { typedCrew } from '@/core/planning'
import { MoveDesk, solve } from '@/core/schedule'
import { everyone } from '@/core/shop'
import { attempt } from '@/core/test-spot/spots.fixture'
import { type Instant, localDayOrThrow, plusMinutes } from '@/core/time'
import { CLEAN } from '@/core/wash'
import { loadProtection } from '../aftercare/protection'
import { loadFloor } from '../floor/floor'
import { addPayment } from '../handover/handover-store'
import { listJobLinks, makeJobLink } from '../links/job-links'
import { listOwnerLinks, makeOwnerLink } from '../links/owner-links'
import { queueMessage } from '../messages/message-store'
import { proposeMessages } from '../messages/proposed-messages'
import { calendarToMove } from '../planning/moving'
import { addOutage } from '../planning/outage-store'
import { problemToPlan } from '../planning/proposal'
import { keepRefused } from '../queue/refused-store'
import { loadWorked } from '../quotes/offers'
import { savePace, shopVersion } from '../shop/shop-store'
import { addSpell, listAllSpells } from '../shop/spell-store'
import { listSupplies } from '../stock/stock-store'
import { promisesOf } from '../survey/promised'
import { loadSurvey } from '../survey/survey-store'
import { historyFile } from '../vehicles/vehicle-history'
import { listKnown } from '../vehicles/vehicle-store'
import type { Asked, Deed } from './filled-in.fixture'

/** One deed of every action that writes, in an order in which a demo shop at `now` takes all of them. */

const key = (name: string) => `kill-campaign-${name}`

const TAKEN_IN: Intake = { ...nimble, customerName: 'Killed Twice', plate: 'IM 13' }

/** What an earlier deed was answered, told to the one who does it. */
const answered = (deed: string, ...path: string[]): Asked => ({ $answer: [key(deed), 'value', ...path] })

const action = (name: string, of: string, input: unknown): Deed => ({
  kind: 'action',
  key: key(name),
  action: of,
  input,
})

/** What must be there for the deeds to be done to: what has an id drawn by chance is put there beforehand. */
async function made(db: Knex, now: Instant, car: Job, gone: Job) {
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
  const why = { kind: 'words', message: 'This shop does not know it.' } as const
  await keepRefused(db, { id: entry.id, device: key('tablet'), at: now, entry, why })
  await savePace(db, await shopVersion(db), { cut: 1.2 })
  await db('customers').where({ id: gone.customer.id }).update({ may_remind: 1, email: 'a@b.example' })
  const day = (text: string) => localDayOrThrow(text)
  await db('care_dates')
    .insert({
      vehicle_id: gone.vehicle.id,
      laid_on: day('2026-01-10'),
      product_id: 'tern-top',
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

async function planningDeeds(db: Knex, now: Instant): Promise<Deed[]> {
  const { from, problem } = await problemToPlan(db, now)
  const { schedule } = solve(problem, { seed: 5, steps: 20 })
  const calendar = await calendarToMove(db, now)
  if (calendar.kind === 'blocked') throw new Error('the demo cannot be moved')
  const desk = new MoveDesk(calendar.problem, calendar.operations)
  const fixed = new Set(calendar.problem.fixed.map(({ job, operation }) => `${job} ${operation}`))
  const moved = calendar.operations
    .filter(({ job, operation }) => !fixed.has(`${job} ${operation}`))
    .map(({ job, operation, start }) =>
      desk.tryOperation({ job, operation, start: plusMinutes(start, 30) }, true),
    )
    .find((tried) => tried.kind === 'allowed')
  if (moved?.kind !== 'allowed') throw new Error('nothing in the demo can be moved')
  const { live } = (await loadFloor(db, now)).jobs.find(({ stage }) => stage.kind === 'between')!
  const step = live!.plan.operations.find(({ id, mode }) => !live!.progress[id] && mode !== 'unattended')!
  const day = { day: '2027-01-18', time: '08:00' }
  const week = { from: day, until: { day: '2027-01-22', time: '18:00' } }
  return [
    action('offer', 'planning.offer', { from, schedule }),
    action('move', 'planning.move', {
      from: calendar.from,
      operations: moved.ways[0]!.operations,
      what: 'a step',
    }),
    action('undo', 'planning.undo-move', null),
    action('redo', 'planning.redo-move', null),
    action('propose', 'planning.propose', null),
    action('take-plan', 'planning.take', { id: answered('propose', 'id') }),
    action('away', 'planning.foresee-outage', { what: { kind: 'person', id: 'oran' }, ...week }),
    action('take-away', 'planning.take', { id: answered('away', 'id') }),
    action('longer', 'planning.foresee-longer', { job: live!.id, operation: step.id, minutes: 45 }),
    action('frost', 'planning.foresee-frost', {
      from: { day: '2027-01-13', time: '11:00' },
      until: week.until,
    }),
    action('back', 'planning.end-outage', { id: key('outage') }),
  ]
}

/** A visit from a car in the yard to a repair of what was seen. */
async function visitDeeds(db: Knex, now: Instant, cars: readonly Job[]): Promise<Deed[]> {
  const { shop, jobs } = await loadFloor(db, now)
  const open = new Set(jobs.filter(({ job }) => !job.handedOverAt).map(({ job }) => job.vehicle.id))
  const found: { id: string; panel: string }[] = []
  for (const { vehicle } of (await listKnown(db)).known) {
    if (open.has(vehicle.id) || cars.some((job) => job.vehicle.id === vehicle.id)) continue
    const { surfaces } = await loadProtection(db, shop, vehicle, now)
    const panel = surfaces.find(({ surface }) => surface === 'paint')?.units[0]?.id
    if (panel) found.push({ id: vehicle.id, panel })
  }
  const [car] = found
  if (!car) throw new Error('no coated car is at home')
  const visit = answered('visit-now', 'jobId')
  const look = { unit: car.panel, water: 'wets', feel: 'grips', cause: 'impact', note: 'a branch' }
  const by = everyone(shop.setup)[0]!.id
  return [
    action('visit-now', 'aftercare.log-visit', { vehicleId: car.id }),
    action('looks', 'aftercare.keep-looks', { jobId: visit, by, cleaned: true, looks: [look] }),
    action('life', 'aftercare.keep-life', {
      jobId: visit,
      odometerKm: '48000',
      storage: 'garage',
      washing: 'hand',
    }),
    action('repair', 'aftercare.book-repair', {
      visitId: visit,
      panels: [car.panel],
      onGuarantee: false,
      day: '2027-01-27',
    }),
    action('look-back', 'aftercare.take-look-back', { jobId: visit, unit: car.panel }),
    action('visit-over', 'aftercare.end-visit', { jobId: visit }),
  ]
}

async function shopDeeds(db: Knex, now: Instant): Promise<Deed[]> {
  const { setup } = (await loadFloor(db, now)).shop
  const version = await shopVersion(db)
  const sets = await listSupplies(db)
  const vendors = setup.vendors.map(({ calendar, ...vendor }) => ({
    ...vendor,
    when: daysOfCalendar(setup.calendars[calendar]!),
  }))
  const after = (deed: string) => answered(deed, 'version')
  return [
    action('costs', 'learning.keep-costs', { version, costs: setup.costs }),
    action('crew', 'shop.keep-crew', { version: after('costs'), crew: typedCrew(setup) }),
    action('devices', 'shop.keep-devices', { version: after('crew'), devices: setup.devices }),
    action('packages', 'shop.keep-packages', { version: after('devices'), packages: setup.packages }),
    action('prices', 'shop.keep-prices', {
      version: after('packages'),
      prices: { rates: setup.rates, terms: setup.terms, vendors },
    }),
    action('ways', 'shop.keep-ways', { version: after('prices'), school: setup.school, wash: setup.wash }),
    action('times', 'messages.save-times', {
      version: after('ways'),
      quiet: setup.quiet,
      climate: setup.climate,
    }),
    action('pace', 'learning.accept-pace', { months: 12, shown: [] }),
    action('pace-off', 'learning.drop-pace', { key: 'cut' }),
    action('spell', 'shop.begin-spell', { bay: 'loft-1', kind: 'humid', minutes: 60 }),
    action('set', 'stock.add-set', { kind: 'towel', name: 'Killed towels', count: 30, reorderAt: 5 }),
    action('set-washed', 'stock.wash-set', { id: sets.find(({ dirty }) => dirty > 0)!.id }),
    action('set-counted', 'stock.count-set', { id: sets[0]!.id, clean: 3 }),
    action('set-new', 'stock.renew-set', { id: sets[1]!.id }),
  ]
}

export async function deeds(db: Knex, now: Instant): Promise<Deed[]> {
  const before = await loadFloor(db, now)
  const byPlate = (plate: string) => before.jobs.find(({ job }) => job.vehicle.plate === plate)!
  const car = byPlate('IM 903')
  const [car5, car19, gone, unread] = (['IM 5012', 'IM 19', 'IM 7341', 'IM 6127'] as const).map(
    (plate) => byPlate(plate).job,
  ) as [Job, Job, Job, Job]
  const ready = before.jobs.find(({ stage }) => stage.kind === 'ready')!.job
  const ids = await made(db, now, car.job, gone)
  const { shop } = await loadFloor(db, now)
  const operation = car.live!.plan.operations.find(({ id }) => car.live!.progress[id]?.kind === 'started')!.id
  const [bottle] = await db('bottles').whereNull('gone_on').orderBy('code')
  const product = shop.catalogue[0]!.id
  const planned = byPlate('IM 77')
  const sold = shop.setup.packages[0]!
  const choices: Choices = {
    packageKey: sold.key,
    extras: [],
    terms: { ...shop.setup.terms, discountPercent: 0 },
  }
  const priceFor = async (job: Job) => {
    const { input } = await loadWorked(db, shop, job)
    return chosenOffer(shop.setup.packages, input, choices)!.price.totalCents
  }
  const [cents, cents19] = [await priceFor(car5), await priceFor(car19)]
  const { version: _, ...survey } = await loadSurvey(db, unread.id)
  survey.before.readings = { bonnet: [{ um: 112.5 }, { um: 114 }] }
  const findings = { contamination: CLEAN, place: { airC: 4, drain: true, hose: true, indoors: true } }
  const act = (number: number, kind: object) => ({
    kind: 'act' as const,
    id: key(`act-${number}`),
    number,
    ago: 10_000 - number * 1000,
    job: car.job.id,
    by: toPersonId('merle'),
    act: { operation, ...kind },
  })
  const blind = blindToIt(car.live!.plan, car.live!.progress)
  const eye = everyone(shop.setup).find(({ id }) => !blind.has(id))!.id
  const [first, second] = inspectionItems(car.job.vehicle.shape)
  const lines = await promisesOf(db, unread, shop.setup)
  const { proposed } = await proposeMessages(db, shop, now)
  const sendable = proposed.filter(({ route }) => route.kind !== 'held')
  if (sendable.length === 0) throw new Error('there is nothing to propose')
  const history = JSON.parse((await historyFile(db, shop, gone.vehicle.id, now))!)
  const brought = { ...history, vehicle: { ...history.vehicle, plate: 'IM 1300', vin: '' } }
  return [
    ...(await planningDeeds(db, now)),
    action('send', 'messages.queue-proposed', { keys: sendable.slice(0, 2).map(({ due }) => due.key) }),
    action('pay', 'handover.record-payment', { jobId: car.job.id, euros: 250, way: 'card', note: 'today' }),
    action('cross-out', 'handover.cross-payment-out', { id: ids.payment }),
    action('good', 'handover.judge-item', {
      jobId: car.job.id,
      item: first!.id,
      verdict: 'good',
      note: '',
      by: eye,
    }),
    action('fault', 'handover.judge-item', {
      jobId: car.job.id,
      item: second!.id,
      verdict: 'fault',
      note: 'a hologram',
      sentTo: stepsToSendTo(car.live!.plan)[0]!.id,
      by: eye,
    }),
    action('receive', 'stock.receive-bottles', { productId: product, lot: 'KILL-7', ml: 50, count: 5 }),
    {
      kind: 'batch',
      key: key('batch'),
      batch: {
        device: key('tablet'),
        waiting: [
          act(1, { kind: 'section', panel: 'bonnet', count: 1, of: 4 }),
          act(2, { kind: 'pause', reason: 'break' }),
          act(3, { kind: 'resume' }),
          {
            kind: 'call',
            id: key('pay-at-the-car'),
            number: 4,
            ago: 1000,
            action: 'handover.record-payment',
            input: { jobId: car.job.id, euros: 40, way: 'cash', note: '' },
            about: 'a payment',
          },
        ],
      },
    },
    action('count', 'stock.count-bottle', { id: bottle!.id, ml: 11 }),
    action('reorder', 'stock.set-reorder-point', { productId: product, ml: 321 }),
    action('bottle-away', 'stock.throw-bottle', { id: bottle!.id }),
    ...(await shopDeeds(db, now)),
    action('agree', 'quotes.agree', { jobId: car5.id, packageKey: sold.key, shownCents: cents }),
    action('quote', 'quotes.write-version', {
      jobId: car19.id,
      choices,
      note: 'both keys',
      shownCents: cents19,
    }),
    action('decline', 'quotes.decline', { jobId: car19.id, version: 1, words: 'too dear' }),
    action('quote-again', 'quotes.write-version', {
      jobId: car19.id,
      choices,
      note: '',
      shownCents: cents19,
    }),
    action('accept', 'quotes.accept', { jobId: car19.id, version: 2 }),
    action('visit', 'aftercare.book-visit', {
      vehicleId: gone.vehicle.id,
      day: '2027-01-27',
      words: 'Winter',
    }),
    action('sign', 'survey.sign-promises', {
      jobId: unread.id,
      version: 0,
      shown: lines.map(({ text }) => text),
      signedBy: 'Somebody',
      signature: [
        [
          [0.1, 0.1],
          [0.4, 0.2],
        ],
      ],
    }),
    action('survey', 'survey.keep', { jobId: unread.id, version: 1, record: survey }),
    action('wash', 'survey.keep-wash', { jobId: unread.id, version: 0, findings }),
    action('photo', 'photos.take', {
      jobId: unread.id,
      place: 'bonnet',
      phase: 'before',
      hash: 'a'.repeat(64),
      width: 800,
      height: 600,
    }),
    action('marks', 'photos.keep-marks', {
      id: key('photo'),
      version: 1,
      marks: [{ kind: 'circle', x: 0.5, y: 0.5, r: 0.1 }],
    }),
    action('photo-off', 'photos.remove', { id: key('photo') }),
    action('photo-on', 'photos.restore', { id: key('photo') }),
    action('spot', 'survey.keep-attempt', { jobId: unread.id, attempt: attempt(), photoId: key('photo') }),
    action('spot-back', 'survey.take-attempt-back', { jobId: unread.id, id: answered('spot', 'id') }),
    action('words', 'messages.save-words', {
      occasion: 'visit-due',
      language: 'en',
      subject: 'A look',
      text: 'Dear {name}',
    }),
    action('words-off', 'messages.drop-words', { occasion: 'visit-due', language: 'en' }),
    action('skip', 'messages.skip-proposed', { key: key('skipped') }),
    action('write', 'messages.write-to-owner', {
      id: randomUUID(),
      vehicleId: gone.vehicle.id,
      occasion: 'words',
      subject: 'Your car',
      text: 'See {page}',
    }),
    action('withdraw', 'messages.withdraw', { id: ids.withdrawn }),
    action('read-reply', 'messages.read-reply', { id: ids.replied }),
    action('page', 'messages.make-page', { vehicleId: gone.vehicle.id }),
    action('ask', 'owner.ask-for-visit', { token: ids.ownerToken, fromDay: '2027-02-01', words: 'Soon?' }),
    action('page-off', 'messages.close-page', { hash: ids.ownerLink }),
    action('contact', 'messages.save-contact', {
      customerId: gone.customer.id,
      phone: '',
      email: 'someone@example.com',
      mayRemind: true,
      language: 'en',
      writeBy: 'email',
    }),
    action('told', 'vehicles.tell-removal', {
      vehicleId: gone.vehicle.id,
      panels: ['bonnet', 'roof'],
      day: '2025-05-05',
      removedUm: 2,
      uncertaintyUm: 1,
      note: 'polished elsewhere',
    }),
    action('brought', 'vehicles.bring-history', {
      file: { $file: JSON.stringify(brought) },
      owner: 'Killed Thrice',
    }),
    action('link', 'handover.make-link', { jobId: gone.id }),
    action('link-off', 'handover.revoke-link', { hash: ids.jobLink }),
    action('pin', 'planning.pin', {
      job: planned.job.id,
      operations: [planned.live!.plan.operations[0]!.id],
      pinned: true,
    }),
    action('spell-off', 'shop.stop-spell', { id: ids.spell }),
    action('practice', 'practice.grade-panel', {
      seed: 7,
      person: shop.setup.people[0]!.id,
      grade: { finding: 'original', defects: [] },
    }),
    ...(await visitDeeds(db, now, [gone, ready])),
    action('read', 'work.read-refused', { id: key('refused') }),
    action('take-in', 'intake.take-in', TAKEN_IN),
    action('home', 'handover.hand-over', { jobId: ready.id }),
    action('pay-again', 'handover.record-payment', {
      jobId: car.job.id,
      euros: 12.5,
      way: 'cash',
      note: '',
    }),
  ]
}
