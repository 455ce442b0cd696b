import { mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { describe, expect, it, onTestFinished } from 'vitest'
import { clockSetTo } from './clock'

const MORNING = '2027-01-13T08:00:00Z'
const NIGHT = '2027-01-13T22:30:00Z'
const HOUR_MS = 3_600_000
/** The machine's clock goes on between a reading and its check. */
const NEAR_MS = 2_000

function near(shown: number, expected: number): void {
  expect(Math.abs(shown - expected)).toBeLessThan(NEAR_MS)
}

describe('the shop’s clock', () => {
  it('runs with the machine’s where nobody set it', () => near(clockSetTo(undefined, 0)(), Date.now()))

  it('shows the instant it was set to as the process started, and runs on from there', () => {
    near(clockSetTo(MORNING, Date.now() - HOUR_MS)(), Date.parse(MORNING) + HOUR_MS)
  })

  it('is set again by its file while the shop is open, and runs on from when that was written', () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-clock-'))
    onTestFinished(() => rmSync(folder, { recursive: true }))
    const file = path.join(folder, 'clock')
    writeFileSync(file, `${MORNING}\n`)
    const shown = clockSetTo(file, 0)
    near(shown(), Date.parse(MORNING))
    writeFileSync(file, NIGHT)
    const anHourAgo = new Date(Date.now() - HOUR_MS)
    utimesSync(file, anHourAgo, anHourAgo)
    near(shown(), Date.parse(NIGHT) + HOUR_MS)
  })

  it('says what is wrong with a file that holds no instant', () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-clock-'))
    onTestFinished(() => rmSync(folder, { recursive: true }))
    const file = path.join(folder, 'clock')
    writeFileSync(file, 'noon')
    expect(clockSetTo(file, 0)).toThrow('noon')
  })
})
