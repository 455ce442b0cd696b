import { describe, expect, test } from 'vitest'
import { toPersonId } from '@/core/ids'
import { instantOrThrow, plusMinutes } from '@/core/time'
import { demoShop } from '@/server/db/demo-shop.fixture'
import { loadFloor } from '@/server/floor/floor'
import { floorRevision } from '@/server/floor/revision'
import { loadHandover } from '@/server/handover/handover'
import { addPayment, listPayments, takePaymentBack, writeVerdicts } from '@/server/handover/handover-store'
import { jobOfLink, listJobLinks, makeJobLink, revokeJobLink } from '@/server/links/job-links'
import { loadShelf } from '@/server/stock/shelf'
import { handoverPaper } from './paper'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)
const entryOf = async (plate: string) => {
  const floor = await loadFloor(shop.db, NOW)
  return { floor, entry: floor.jobs.find(({ job }) => job.vehicle.plate === plate)! }
}

describe('a private link', () => {
  test('leads to its own job until it runs out or is taken back, and is kept only as a print', async () => {
    const { entry } = await entryOf('IM 1154')
    const day = plusMinutes(NOW, 1440)
    const token = await makeJobLink(shop.db, entry.job.id, NOW, day)
    expect(await jobOfLink(shop.db, token, NOW)).toBe(entry.job.id)
    expect(await jobOfLink(shop.db, token, day)).toBeUndefined()
    expect(await jobOfLink(shop.db, `${token}x`, NOW)).toBeUndefined()
    const [kept] = await listJobLinks(shop.db, entry.job.id)
    expect(JSON.stringify(kept)).not.toContain(token)
    expect(await jobOfLink(shop.db, kept!.hash, NOW)).toBeUndefined()
    await revokeJobLink(shop.db, kept!.hash, NOW)
    expect(await jobOfLink(shop.db, token, NOW)).toBeUndefined()
  })
})

test('money that came in is counted, and what was crossed out stays in the book without counting', async () => {
  const { floor, entry } = await entryOf('IM 1154')
  await addPayment(shop.db, entry.job.id, { cents: 20_000, way: 'cash', note: 'deposit', at: NOW })
  await addPayment(shop.db, entry.job.id, { cents: 99_900, way: 'card', note: '', at: NOW })
  const wrong = (await listPayments(shop.db, entry.job.id)).find(({ cents }) => cents === 99_900)!
  await takePaymentBack(shop.db, wrong.id, NOW)
  const { balance, payments } = (await loadHandover(shop.db, floor, entry))!
  expect(payments).toHaveLength(2)
  expect(balance.paidCents).toBe(20_000)
})

test('the sheet says what was done, who inspected it, what was applied and what is due', async () => {
  const { floor, entry } = await entryOf('IM 1154')
  const handover = (await loadHandover(shop.db, floor, entry))!
  const blank = handoverPaper(entry, handover, floor.shop, NOW)
  expect(blank.inspection).toBe('Not finished yet.')
  expect(blank.money.at(-1)).toMatch(/^Balance due: €/)
  const judge = handover.items.length
  const eyes = handover.eyes.people[0]!
  await writeVerdicts(
    shop.db,
    entry.job.id,
    handover.items.map(({ id, panel }) => ({
      item: id,
      verdict: 'good' as const,
      note: '',
      ...(panel ? { clearedPercent: 80 } : {}),
      by: toPersonId(eyes),
      at: NOW,
    })),
  )
  const seen = (await loadHandover(shop.db, floor, entry))!
  expect(seen.inspection.passed).toBe(true)
  expect(seen.verdicts).toHaveLength(judge)
  expect(seen.reached).toBeCloseTo(0.8)
  const paper = handoverPaper(entry, seen, floor.shop, NOW)
  expect(paper.inspection).toContain('who did not work on this paint: no faults found.')
  expect(paper.result.join(' ')).toContain('Under the inspection lamp about 80% of them are gone.')
})

test('what was done beside the paint stands on the sheet of a finished car; a look of somebody who worked on it is called no other’s', async () => {
  const { floor, entry } = await entryOf('IM 1154')
  const handover = (await loadHandover(shop.db, floor, entry))!
  const { summary } = handover.agreement
  const priceLines = [
    ...summary.priceLines,
    { kind: 'one-off' as const, words: 'Fuel flap painted', minutes: 0, cents: 4500 },
  ]
  const flapped = { ...handover, agreement: { ...handover.agreement, summary: { ...summary, priceLines } } }
  const live = entry.live!
  const painter = toPersonId('brida')
  const done = Object.fromEntries(
    live.plan.operations.map(({ id }) => [id, { kind: 'done' as const, from: NOW, to: NOW, by: painter }]),
  )
  const finished = { ...entry, live: { ...live, progress: done } }
  const verdicts = handover.items.map(({ id }) => ({
    item: id,
    verdict: 'good' as const,
    note: '',
    by: painter,
    at: NOW,
  }))
  const looked = { ...flapped, verdicts, inspection: { open: [], faults: [], passed: true } }
  const paper = handoverPaper(finished, looked, floor.shop, NOW)
  expect(paper.beside).toContain('Fuel flap painted.')
  expect(paper.inspection).toContain('with a night between the work and this look')
  const other = verdicts.map((verdict) => ({ ...verdict, by: toPersonId('nobody-else') }))
  expect(handoverPaper(finished, { ...looked, verdicts: other }, floor.shop, NOW).inspection).toContain(
    'who did not work on this paint',
  )
  const { entry: open, floor: then } = await entryOf('IM 903')
  const early = (await loadHandover(shop.db, then, open))!
  expect(handoverPaper(open, early, then.shop, NOW).beside).toEqual([])
})

test('before the work is done the sheet says so, and calls nothing done that is only planned', async () => {
  const { floor, entry } = await entryOf('IM 903')
  const handover = (await loadHandover(shop.db, floor, entry))!
  const paper = handoverPaper(entry, handover, floor.shop, NOW)
  expect(paper.result[0]).toBe('The work is not finished yet: this sheet shows how far it is.')
  const polished = paper.panels.filter(({ process }) => process !== 'no polishing')
  expect(polished.length).toBeGreaterThan(0)
  for (const { process, taken } of polished) {
    expect(process).toMatch(/^planned: /)
    expect(taken).toBe('not measured')
  }
})

test('paint that reads thicker after the work is not told as paint that was taken', async () => {
  const { floor, entry } = await entryOf('IM 1154')
  const handover = (await loadHandover(shop.db, floor, entry))!
  const [change] = handover.changes
  const read = (removedUm: number) => {
    const ledger = { removedUm, uncertaintyUm: 0.9, source: 'measured' as const }
    const paper = handoverPaper(entry, { ...handover, changes: [{ ...change!, ledger }] }, floor.shop, NOW)
    return paper.panels[0]!.taken
  }
  expect(read(-50.4)).toBe('not measured')
  expect(read(-0.6)).toBe('none measurable')
  expect(read(2.1)).toBe('2.1 ± 0.9')
})

test('readings before and after are told without a sign the paper has no letter for', async () => {
  const { floor, entry } = await entryOf('IM 1154')
  const handover = (await loadHandover(shop.db, floor, entry))!
  const [change] = handover.changes
  const film = { before: 118, after: 116, removedUm: 2, uncertaintyUm: 0.6 }
  const paper = handoverPaper(entry, { ...handover, changes: [{ ...change!, film }] }, floor.shop, NOW)
  expect(paper.panels[0]!.film).toBe('118 to 116')
})

test('a car that nothing is agreed for has nothing to hand over', async () => {
  const { floor, entry } = await entryOf('IM 5012')
  expect(await loadHandover(shop.db, floor, entry)).toBeUndefined()
})

test('the demo shelf is held against the week, with a bottle that is too old', async () => {
  const { floor } = await entryOf('IM 903')
  const { needs } = await loadShelf(shop.db, floor)
  const states = needs.flatMap(({ bottles }) => bottles.map(({ state }) => state))
  expect(states).toEqual(expect.arrayContaining(['open', 'closed', 'past']))
  const base = needs.find(({ product }) => product.id === 'cladonia-base')!
  expect(base.neededMl).toBeGreaterThan(0)
  expect(base.coats.every(({ plate }) => plate.startsWith('IM '))).toBe(true)
})

test('the word of the floor changes when something happened, and only then', async () => {
  const before = await floorRevision(shop.db)
  expect(await floorRevision(shop.db)).toBe(before)
  await shop.db('plannings').insert({
    computed_at: NOW,
    status: 'feasible',
    cause: 'test',
    reasons: '[]',
  })
  expect(await floorRevision(shop.db)).not.toBe(before)
})
