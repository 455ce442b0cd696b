import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { bytesText, faultText } from '@/text/en/health'
import { openDatabase } from '../db/connection'
import { FIRST_REGION } from '../shop/shop-store'
import { latestFaults, noteFault } from './faults'
import { loadHealth } from './health'

let folder: string
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-health-'))
  process.env.FERN_YARD_DATA = folder
})
afterEach(() => {
  delete process.env.FERN_YARD_DATA
  rmSync(folder, { recursive: true, force: true })
})

test('the latest faults are kept, of what was tried and nothing that was typed', () => {
  for (let at = 0; at < 30; at++) noteFault({ action: `act.${at}`, fault: 'Error', at: 'somewhere' })
  noteFault({ queue: 3, ms: 4 })
  noteFault('words')
  const faults = latestFaults()
  expect(faults).toHaveLength(20)
  expect(faults[0]).toMatchObject({ what: 'action', which: 'act.29' })
  expect(faultText(faults[0]!)).toBe('Something that was asked for could not be done (act.29).')
})

test('a new shop is well, and has no backup yet', async () => {
  const db = await openDatabase(path.join(folder, 'fern-yard.db'))
  const health = await loadHealth(db)
  await db.destroy()
  expect(health).toMatchObject({ waiting: 0, failed: 0, refused: 0, backup: undefined })
  expect(health.space.freeBytes).toBeGreaterThan(0)
  expect(health.databaseBytes).toBeGreaterThan(0)
})

test.each([
  [900, '0.9 kB'],
  [52_428_800, '52 MB'],
  [1_500_000_000, '1.5 GB'],
  [9e15, '9,000 TB'],
])('%s bytes are %s', (bytes, said) => {
  expect(bytesText(FIRST_REGION, bytes)).toBe(said)
})
