import { beforeAll, expect, test } from 'vitest'
import { instantOrThrow } from '@/core/time'
import { changeTexts, readingOf } from '@/text/en/changes'
import { OPEN_SHOP } from '../action/caller'
import { demoShop } from '../db/demo-shop.fixture'
import { type JournalEntry, readJournal } from '../journal/journal-store'
import { receiveBatch } from '../queue/receive'
import { loadShop } from '../shop/shop-store'
import { deeds } from './deeds.fixture'
import { EVERY_ACTION } from './every-action.fixture'
import { filledIn, type Said } from './filled-in.fixture'
import { doDeed, worksOutHere } from './in-process.fixture'

const AT = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(AT)
let entries: JournalEntry[]
beforeAll(async () => {
  worksOutHere(shop.db)
  const said: Said[] = []
  for (const deed of await deeds(shop.db, AT)) {
    const answer =
      deed.kind === 'batch'
        ? await receiveBatch(shop.db, deed.batch, AT, OPEN_SHOP)
        : await doDeed(shop.db, AT, deed, deed.key, filledIn(deed.input, said))
    said.push({ key: deed.key, answer })
  }
  entries = await readJournal(shop.db, {}, 1000)
}, 120_000)

/** Deeds of which nothing is kept beside their entry in the journal, and why. */
const NOTHING_BESIDE: Readonly<Record<string, readonly string[]>> = {
  'something is looked at, taken out, copied or proposed: nothing that stood is another': [
    'customers.look',
    'customers.reach',
    'customers.take-out',
    'customers.leave-outdated',
    'shop.back-up',
    'shop.rehearse-backup',
    'planning.propose',
    'planning.offer',
    'planning.foresee-outage',
    'planning.foresee-frost',
    'planning.foresee-longer',
    'planning.foresee-for-car',
    'planning.foresee-lent',
    'planning.foresee-surer',
    'work.read-refused',
    'what-if.keep',
    'what-if.forget',
  ],
  'who comes and goes: secrets, sessions and codes are nobody’s to read': [
    'staff.sign-in',
    'staff.sign-out',
    'staff.end-session',
    'staff.keep-own-secrets',
    'staff.offer-pairing',
  ],
  'what stood is to be gone, here as well': [
    'customers.erase',
    'customers.drop-messages',
    'customers.drop-photographs',
    // Of a car whose owner is erased afterwards.
    'vehicles.put-away',
    'vehicles.take-back',
  ],
  'the record itself is a list of all that was ever said or done, each with its time': [
    'aftercare.keep-looks',
    'aftercare.take-look-back',
    'aftercare.log-visit',
    'handover.judge-item',
    'handover.keep-in',
    'handover.end-keeping-in',
    'messages.queue-proposed',
    'messages.read-reply',
    'messages.send-now',
    'messages.skip-proposed',
    'messages.withdraw',
    'messages.write-to-owner',
    'owner.ask-for-visit',
    'practice.grade-panel',
    'stock.count-bottle',
    'stock.count-store',
    'survey.keep-attempt',
    'survey.take-attempt-back',
    'survey.take-settled',
    'survey.plan-by-spots',
    'survey.keep-wash',
    'work.answer-handed-on',
    'work.answer-note',
    'work.confirm',
    'work.move-away',
    'work.wash-again',
    'shop.begin-spell',
    'shop.stop-spell',
  ],
  'all of it is new, and stands in the entry': [
    'intake.take-in',
    'photos.take',
    'bring.take',
    'bring.drop',
    'bring.undo',
  ],
  'a picture': ['photos.keep-marks', 'shop.keep-logo'],
  'the deed tried here changes nothing, or what nobody has': [
    'learning.accept',
    'learning.keep-costs',
    'messages.save-times',
    'shop.keep-devices',
    'shop.keep-packages',
    'shop.keep-products',
    'shop.revoke-feed',
    'staff.unpair-device',
  ],
}

test('of every deed that changes a record it is kept what stood before and after, or said why not', () => {
  const keeps = new Set(entries.filter(({ changes }) => changes.length > 0).map(({ action }) => action))
  const none = [...EVERY_ACTION.keys()].filter((action) => !keeps.has(action))
  expect(none.toSorted()).toEqual(Object.values(NOTHING_BESIDE).flat().toSorted())
})

test('what was changed of one car is found under that car', async () => {
  const nowhere = await shop
    .db('action_journal as entry')
    .join('row_changes', 'row_changes.position', 'entry.position')
    .leftJoin('jobs', 'jobs.id', 'row_changes.row_key')
    .leftJoin('vehicles', 'vehicles.id', 'row_changes.row_key')
    .whereNull('entry.job_id')
    .whereNull('entry.vehicle_id')
    .groupBy('entry.position')
    .havingRaw('count(DISTINCT jobs.id) = 1 OR (count(jobs.id) = 0 AND count(DISTINCT vehicles.id) = 1)')
    .pluck('entry.action')
  expect(nowhere).toEqual([])
  const voided = entries.find(({ action }) => action === 'handover.cross-payment-out')
  expect(voided?.plate).toBe('IM 903')
})

test('a deed that changed several cars is found under each of them', async () => {
  const several = entries.filter(
    ({ plate, changes }) => plate === undefined && changes.some((change) => change.plate),
  )
  expect(several.length).toBeGreaterThan(0)
  for (const { position, changes } of several)
    for (const plate of new Set(changes.flatMap((change) => change.plate ?? [])))
      expect((await readJournal(shop.db, { plate }, 1000)).map((entry) => entry.position)).toContain(position)
})

test('what stood before and after is said in words', async () => {
  const reading = readingOf(await loadShop(shop.db))
  const said = entries.flatMap(({ action, changes }) =>
    changes.flatMap(({ of, fields, plate }) =>
      changeTexts(reading, of, fields, { plate }).map(
        ({ name, before, after }) => `${action}: ${name}: ${before} → ${after}`,
      ),
    ),
  )
  for (const line of said)
    expect(line).not.toMatch(/[a-z]_[a-z]|x10|[Cc]ents|T\d\d:\d\d|[[\]"]|:[a-z]|nothing → nothing/)
  expect(said).toEqual(
    expect.arrayContaining([
      'staff.keep-rules: rules, technicians see contacts: nothing → yes',
      'handover.record-payment: payment, paid: nothing → €12.50',
      'handover.cross-payment-out: payment, voided: nothing → 13 Jan 2027, 10:20',
      'quotes.accept-supplement: IM 19, agreement, total: €179.37 → €210.12',
      'quotes.decline: quote, 1, said: nothing → declined',
      'planning.move: IM 4471, work at the car, ends: 14 Jan 2027, 08:00 → 14 Jan 2027, 08:30',
      'planning.take: away or out of use, person, who or what: nothing → Oran',
      'planning.pin: stays where it is, step: nothing → wash',
      'planning.keep-hold: held slot, Headland, held until: 18 Jan 2027 → 16 Jan 2027',
      'survey.keep: measured, bonnet, thickness before: nothing → 112.5 µm; 114.0 µm',
      'messages.drop-words: text, Visit due, subject: A look → nothing',
      'stock.throw-bottle: bottle, 1, gone: nothing → 13 Jan 2027',
      'plan.keep-consent: consent for a panel, bonnet, agreed: nothing → 13 Jan 2027, 10:20',
      'handover.hand-over: paint removed, right front wing, taken off: nothing → 0.2 µm',
      'learning.take-spreads: shop, spreads, wash: nothing → 0.2',
      expect.stringContaining('calendars, Brída: nothing → weekly sun nothing, mon 07:00–11:30; 12:00–15:30'),
      'stock.wash-set: set, Foam cut, 125 mm, dirty: 3 → 0',
      'stock.keep-store: store, masking tape, price: €1.10 → €1.20',
      'messages.save-words: text, Visit due, subject: nothing → A look',
      'staff.close: who signs in, Finn, left: nothing → 13 Jan 2027, 10:20',
      'stock.order: order, masking tape, ordered: nothing → 13 Jan 2027, 10:20',
    ]),
  )
})
