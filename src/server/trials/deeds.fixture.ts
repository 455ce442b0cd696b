import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { blindToIt, inspectionItems, stepsToSendTo } from '@/core/handover'
import { toPersonId } from '@/core/ids'
import type { Job } from '@/core/job'
import { type Choices, chosenOffer } from '@/core/offer'
import { everyone } from '@/core/shop'
import { attempt } from '@/core/test-spot/spots.fixture'
import type { Instant } from '@/core/time'
import { CLEAN } from '@/core/wash'
import { loadFloor } from '../floor/floor'
import { proposeMessages } from '../messages/proposed-messages'
import { loadWorked } from '../quotes/offers'
import { loadSurvey } from '../survey/survey-store'
import { linesToSign } from '../survey/to-sign'
import { historyFile } from '../vehicles/vehicle-history'
import { made } from './before-deeds.fixture'
import { BROUGHT, UNWANTED } from './brought-list.fixture'
import { action, answered, key, TAKEN_IN } from './deed.fixture'
import { planningDeeds, shopDeeds, visitDeeds } from './desk-deeds.fixture'
import type { Deed } from './filled-in.fixture'
import { awayDeeds, coatedJustNow, goingDeeds } from './going-deeds.fixture'
import { spotDeeds } from './spot-deeds.fixture'
import { peopleDeeds, somebodyAsksToBeErased, somebodySignsIn, staffDeeds } from './staff-deeds.fixture'

/** One deed of every action that writes, in an order in which a demo shop at `now` takes all of them. */

export async function deeds(db: Knex, now: Instant): Promise<Deed[]> {
  const before = await loadFloor(db, now)
  const byPlate = (plate: string) => before.jobs.find(({ job }) => job.vehicle.plate === plate)!
  const car = byPlate('IM 903')
  const [car5, car19, gone, unread] = (['IM 5012', 'IM 19', 'IM 7341', 'IM 6127'] as const).map(
    (plate) => byPlate(plate).job,
  ) as [Job, Job, Job, Job]
  const ready = before.jobs.find(({ stage }) => stage.kind === 'ready')!.job
  const dusty = byPlate('IM 5544')
  const steps = dusty.live!.plan.operations
  const worked = steps.findIndex(({ kind }) => kind === 'cut' || kind === 'polish')
  await coatedJustNow(db, now, ready)
  await somebodySignsIn(db, now)
  await somebodyAsksToBeErased(db, now)
  const ids = await made(db, now, car.job, gone, {
    dusty: dusty.job,
    before: steps.filter(({ kind }) => kind === 'wash').map(({ id }) => id),
  })
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
  const priceFor = async (job: Job, chosen = choices) => {
    const { input } = await loadWorked(db, shop, job)
    return chosenOffer(shop.setup.packages, input, chosen)!.price.totalCents
  }
  const plates = { words: 'New number plates', cents: 2500, minutes: 0, skill: 'prep' as const }
  const withPlates = { ...choices, oneOffs: [plates] }
  const centsChanged = await priceFor(car19, withPlates)
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
  const [first, second] = inspectionItems(car.job.vehicle)
  const lines = await linesToSign(db, unread, shop.setup)
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
    action('wash-again', 'work.wash-again', { jobId: dusty.job.id, operation: steps[worked]!.id }),
    ...awayDeeds(car.job),
    action('answer-note', 'work.answer-note', {
      jobId: car.job.id,
      operation: 'cut',
      note: key('asked'),
      by: toPersonId('oran'),
      text: 'The grey one.',
    }),
    action('count', 'stock.count-bottle', { id: bottle!.id, ml: 11 }),
    action('count-store', 'stock.count-store', { key: 'tape', amount: 80 }),
    action('keep-store', 'stock.keep-store', { key: 'tape', orderBelow: 40, price: 1.2 }),
    action('reorder', 'stock.set-reorder-point', { productId: product, ml: 321 }),
    action('bottle-away', 'stock.throw-bottle', { id: bottle!.id }),
    ...(await shopDeeds(db, now)),
    action('consent', 'plan.keep-consent', { jobId: car5.id, panel: 'bonnet', agreed: true }),
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
    action('supplement', 'quotes.write-supplement', {
      jobId: car19.id,
      choices: withPlates,
      found: 'A plate is cracked.',
      otherwise: '',
      note: '',
      shownCents: centsChanged,
    }),
    action('say-yes', 'quotes.accept-supplement', {
      jobId: car19.id,
      version: 3,
      yes: { how: 'telephone', name: 'His brother', day: '2027-01-12', time: '08:00' },
    }),
    action('call-off', 'quotes.call-off', {
      jobId: car19.id,
      from: 3,
      found: 'The ferry does not sail.',
      yes: {
        how: 'signed',
        name: 'Somebody',
        signature: [
          [
            [0.1, 0.1],
            [0.4, 0.2],
          ],
        ],
      },
    }),
    action('visit', 'aftercare.book-visit', {
      vehicleId: gone.vehicle.id,
      day: '2027-01-27',
      words: 'Winter',
    }),
    action('sign', 'survey.sign-off', {
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
    action('shown', 'photos.keep-shown', { id: key('photo'), shows: 'swirls' }),
    action('photo-off', 'photos.remove', { id: key('photo') }),
    action('photo-on', 'photos.restore', { id: key('photo') }),
    action('spot', 'survey.keep-attempt', { jobId: unread.id, attempt: attempt(), photoId: key('photo') }),
    ...(await spotDeeds(db, car)),
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
      tax: 'on-top',
      saidBy: 'telephone',
    }),
    action('list', 'bring.take', { id: BROUGHT, rows: 3 }),
    action('list-back', 'bring.undo', { id: BROUGHT }),
    action('list-dropped', 'bring.drop', { id: UNWANTED }),
    action('size', 'vehicles.save-size', { vehicleId: gone.vehicle.id, lengthM: 5.1, heightM: null }),
    action('facts', 'vehicles.keep-panel-facts', {
      vehicleId: gone.vehicle.id,
      facts: { roof: { finish: 'solid' } },
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
    ...goingDeeds(ready),
    ...peopleDeeds(),
    ...staffDeeds(),
    action('pay-again', 'handover.record-payment', {
      jobId: car.job.id,
      euros: 12.5,
      way: 'cash',
      note: '',
    }),
  ]
}
