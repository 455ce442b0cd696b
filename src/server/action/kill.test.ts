import { spawnSync } from 'node:child_process'
import { copyFileSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { isDeepStrictEqual } from 'node:util'
import { build } from 'esbuild'
import type { Knex } from 'knex'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { emptyIntake, type Intake } from '@/core/intake/intake'
import type { Job } from '@/core/job'
import { tries } from '@/core/long.fixture'
import { type Choices, chosenOffer } from '@/core/offer'
import { instantOrThrow } from '@/core/time'
import { CLEAN } from '@/core/wash'
import { connect } from '../db/connection'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { loadWorked } from '../quotes/offers'
import { shopVersion } from '../shop/shop-store'
import { loadSurvey } from '../survey/survey-store'
import type { Deed } from './kill-actions.fixture'
import { stateOfShop } from './shop-state.fixture'

const AT = instantOrThrow('2027-01-13T10:20:00Z')
const ROOT = path.resolve(import.meta.dirname, '../../..')
const shop = demoShop(AT)
/** So many statements further on a process that was killed is killed the next time. */
const STRIDE = tries(37, 7)

let folder: string
beforeAll(async () => {
  // Below the packages it needs; bundled, since it is begun many times.
  const cache = path.join(ROOT, 'node_modules/.cache')
  mkdirSync(cache, { recursive: true })
  folder = mkdtempSync(path.join(cache, 'fern-yard-kill-'))
  await build({
    absWorkingDir: ROOT,
    entryPoints: ['src/server/action/kill-actions.fixture.ts'],
    outfile: path.join(folder, 'kill-actions.mjs'),
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    // Next's own modules are found by their files where Next does not run.
    alias: { 'next/cache': 'next/cache.js', 'next/headers': 'next/headers.js' },
  })
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const TAKEN_IN: Intake = {
  ...emptyIntake('2027-01-13'),
  customerName: 'Killed Twice',
  plate: 'IM 13',
  make: 'Corvane',
  model: 'Nimble',
  year: '2019',
  colour: 'Oyster white',
  wishes: 'Shiny',
  budget: '599,50',
}

const key = (name: string) => `kill-campaign-${name}`

/** Deeds of every manner of writing: one row, many rows, over a version, with a plan asked for, and from a tablet. */
async function deeds(db: Knex): Promise<Deed[]> {
  const floor = await loadFloor(db, AT)
  const car = floor.jobs.find(({ job }) => job.vehicle.plate === 'IM 903')!
  const operation = car.live!.plan.operations.find(({ id }) => car.live!.progress[id]?.kind === 'started')!.id
  const [bottle] = await db('bottles').whereNull('gone_on').orderBy('code')
  const product = floor.shop.catalogue[0]!.id
  const byPlate = (plate: string) => floor.jobs.find(({ job }) => job.vehicle.plate === plate)!
  const [car5, car19, gone, unread] = (['IM 5012', 'IM 19', 'IM 7341', 'IM 6127'] as const).map(
    (plate) => byPlate(plate).job,
  ) as [Job, Job, Job, Job]
  const planned = byPlate('IM 77')
  const sold = floor.shop.setup.packages[0]!
  const choices: Choices = {
    packageKey: sold.key,
    extras: [],
    terms: { ...floor.shop.setup.terms, discountPercent: 0 },
  }
  const priceFor = async (job: Job) => {
    const { input } = await loadWorked(db, floor.shop, job)
    return chosenOffer(floor.shop.setup.packages, input, choices)!.price.totalCents
  }
  const [cents, cents19] = [await priceFor(car5), await priceFor(car19)]
  const { version: _, ...survey } = await loadSurvey(db, unread.id)
  survey.before.readings = { bonnet: [{ um: 112.5 }, { um: 114 }] }
  const findings = { contamination: CLEAN, place: { airC: 4, drain: true, hose: true, indoors: true } }
  const action = (name: string, of: (Deed & { kind: 'action' })['action'], input: unknown): Deed => ({
    kind: 'action',
    key: key(name),
    action: of,
    input,
  })
  const act = (number: number, kind: object) => ({
    kind: 'act' as const,
    id: key(`act-${number}`),
    number,
    ago: 10_000 - number * 1000,
    job: car.job.id,
    by: 'merle',
    act: { operation, ...kind },
  })
  return [
    action('pay', 'recordPayment', { jobId: car.job.id, euros: 250, way: 'card', note: 'on the day' }),
    action('receive', 'receiveBottles', { productId: product, lot: 'KILL-7', ml: 50, count: 5 }),
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
    action('count', 'countBottle', { id: bottle!.id, ml: 11 }),
    action('reorder', 'setReorder', { productId: product, ml: 321 }),
    action('set', 'addSet', { kind: 'towel', name: 'Killed towels', count: 30, reorderAt: 5 }),
    action('bottle-away', 'throwBottle', { id: bottle!.id }),
    action('agree', 'agree', { jobId: car5.id, packageKey: sold.key, shownCents: cents }),
    action('quote', 'writeQuoteVersion', {
      jobId: car19.id,
      choices,
      note: 'both keys',
      shownCents: cents19,
    }),
    action('decline', 'declineQuote', { jobId: car19.id, version: 1, words: 'too dear' }),
    action('quote-again', 'writeQuoteVersion', { jobId: car19.id, choices, note: '', shownCents: cents19 }),
    action('accept', 'acceptQuote', { jobId: car19.id, version: 2 }),
    action('visit', 'bookVisit', { vehicleId: gone.vehicle.id, day: '2027-01-27', words: 'Winter look' }),
    action('survey', 'keepSurvey', { jobId: unread.id, version: 1, record: survey }),
    action('wash', 'keepWash', { jobId: unread.id, version: 0, findings }),
    action('costs', 'keepCosts', { version: await shopVersion(db), costs: floor.shop.setup.costs }),
    action('words', 'saveWords', {
      occasion: 'visit-due',
      language: 'en',
      subject: 'A look',
      text: 'Dear {name}',
    }),
    action('contact', 'saveContact', {
      customerId: gone.customer.id,
      phone: '',
      email: 'someone@example.com',
      mayRemind: true,
      language: 'en',
      writeBy: 'email',
    }),
    action('told', 'tellRemoval', {
      vehicleId: gone.vehicle.id,
      panels: ['bonnet', 'roof'],
      day: '2025-05-05',
      removedUm: 2,
      uncertaintyUm: 1,
      note: 'polished elsewhere',
    }),
    action('link', 'makePrivateLink', { jobId: gone.id }),
    action('pin', 'setPinned', {
      job: planned.job.id,
      operations: [planned.live!.plan.operations[0]!.id],
      pinned: true,
    }),
    action('spell', 'beginSpell', { bay: 'loft-1', kind: 'humid', minutes: 60 }),
    action('take-in', 'takeVehicleIn', TAKEN_IN),
    action('pay-again', 'recordPayment', { jobId: car.job.id, euros: 12.5, way: 'cash', note: '' }),
  ]
}

test(
  'killed before any statement, a deed is done wholly or not at all, and done again it is done once',
  async () => {
    await shop.db.raw('PRAGMA wal_checkpoint(TRUNCATE)')
    const all = await deeds(shop.db)
    const script = path.join(folder, 'deeds.json')
    writeFileSync(script, JSON.stringify(all))
    const fresh = (name: string) => {
      const file = path.join(folder, name)
      for (const tail of ['-wal', '-shm']) rmSync(file + tail, { force: true })
      copyFileSync(path.join(shop.folder, 'fern-yard.db'), file)
      return file
    }
    type Said = { key: string; answer: { ok?: boolean; outcomes?: { taken: boolean }[] }; state?: object }
    const run = (file: string, nth: number) => {
      const child = spawnSync(
        process.execPath,
        [path.join(folder, 'kill-actions.mjs'), file, AT, script, String(nth)],
        { cwd: ROOT, encoding: 'utf8', env: { ...process.env, FERN_YARD_LOG: 'silent' } },
      )
      if (child.status !== 0 && child.signal !== 'SIGKILL') throw new Error(child.stderr)
      const told = child.stdout.split('\n').filter(Boolean)
      return { killed: child.signal === 'SIGKILL', told: told.map((line) => JSON.parse(line) as Said) }
    }
    const look = async (file: string) => {
      const db = connect(file)
      const [integrity, broken] = [
        await db.raw('PRAGMA integrity_check'),
        await db.raw('PRAGMA foreign_key_check'),
      ]
      expect([integrity, broken]).toEqual([[{ integrity_check: 'ok' }], []])
      const state = await stateOfShop(db)
      await db.destroy()
      return state
    }

    // As if nothing had happened: how the shop stands before, and after each deed.
    const calm = fresh('calm.db')
    const stands = [await look(calm)]
    for (const { key: name, answer, state } of run(calm, 0).told) {
      expect(
        answer.ok ?? answer.outcomes?.every(({ taken }) => taken),
        `${name}: ${JSON.stringify(answer)}`,
      ).toBe(true)
      stands.push(state as (typeof stands)[number])
    }
    expect(stands).toHaveLength(all.length + 1)
    for (const [at, deed] of all.entries()) expect(stands[at + 1], deed.key).not.toEqual(stands[at])

    let kills = 0
    let nth = 1
    const most = tries(20, 300)
    while (kills < most) {
      const file = fresh('killed.db')
      // Killed again and again, each time further on, until all is done.
      for (let from = nth; ; from += STRIDE) {
        const { killed, told } = run(file, from)
        const state = await look(file)
        // What was answered stands; the deed it died in stands wholly or not at all.
        const stood = stands.findIndex((each) => isDeepStrictEqual(each, state))
        expect([told.length, told.length + 1], `killed before statement ${from}`).toContain(stood)
        if (!killed) break
        kills += 1
      }
      expect(await look(file)).toEqual(stands.at(-1))
      nth += 3
    }
    expect(kills).toBeGreaterThanOrEqual(most)
  },
  tries(120_000, 1_200_000),
)
