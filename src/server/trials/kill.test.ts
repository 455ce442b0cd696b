import { spawnSync } from 'node:child_process'
import {
  copyFileSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import path from 'node:path'
import { isDeepStrictEqual } from 'node:util'
import { build } from 'esbuild'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { tries } from '@/core/long.fixture'
import { instantOrThrow } from '@/core/time'
import { connect } from '../db/connection'
import { demoShop } from '../db/demo-shop.fixture'
import { deeds } from './deeds.fixture'
import { EVERY_ACTION } from './every-action.fixture'
import type { Deed, Said } from './filled-in.fixture'
import type { Task } from './kill-actions.fixture'
import { stateOfShop } from './shop-state.fixture'

const AT = instantOrThrow('2027-01-13T10:20:00Z')
const ROOT = path.resolve(import.meta.dirname, '../../..')
const shop = demoShop(AT)
/** In so many pieces the whole row of deeds is cut; it takes some kills more, since what was broken off is begun again. */
const CUTS = 20

let folder: string
let all: Deed[]
beforeAll(async () => {
  // Below the packages it needs; bundled, since it is begun many times.
  const cache = path.join(ROOT, 'node_modules/.cache')
  mkdirSync(cache, { recursive: true })
  folder = mkdtempSync(path.join(cache, 'fern-yard-kill-'))
  const outside = path.join(import.meta.dirname, 'outside-next.fixture.ts')
  await build({
    absWorkingDir: ROOT,
    entryPoints: ['src/server/trials/kill-actions.fixture.ts'],
    outfile: path.join(folder, 'kill-actions.mjs'),
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    alias: { 'next/cache': outside, 'next/headers': outside, sharp: outside },
  })
  all = await deeds(shop.db, AT)
  await shop.db.raw('PRAGMA wal_checkpoint(TRUNCATE)')
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

/** Actions that are not killed here, and where they are. */
const ELSEWHERE: Readonly<Record<string, string>> = {
  'messages.send-now':
    'each message is claimed and marked by itself: messages/outbox.test.ts kills its process',
}

test('every action that writes is among the deeds', () => {
  const done = all.flatMap((deed) => (deed.kind === 'action' ? [deed.action] : []))
  expect([...EVERY_ACTION.keys()].filter((name) => !done.includes(name) && !(name in ELSEWHERE))).toEqual([])
  // And the list of all of them is whole.
  const sources = readdirSync(path.join(ROOT, 'src/server'), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !file.includes('.test.') && !file.includes('.fixture.'))
    .map((file) => readFileSync(path.join(ROOT, 'src/server', file), 'utf8'))
  const defined = sources.flatMap((text) => [
    ...text.matchAll(/define(?:Action|Write)\(\{\s+name: '([^']+)'/g),
  ])
  expect(new Set(defined.map(([, name]) => name))).toEqual(new Set(EVERY_ACTION.keys()))
})

type Told = Said & { state?: Record<string, string>; statements?: number }

const isTaken = (answer: unknown) => {
  const { ok, outcomes } = answer as { ok?: boolean; outcomes?: { taken: boolean }[] }
  return ok ?? outcomes?.every(({ taken }) => taken)
}

/** A shop of its own as it stands before the deeds. */
function fresh(name: string): string {
  const data = path.join(folder, name)
  rmSync(data, { recursive: true, force: true })
  mkdirSync(data)
  copyFileSync(path.join(shop.folder, 'fern-yard.db'), path.join(data, 'fern-yard.db'))
  return data
}

function run(data: string, nth: number, task: Task): { killed: boolean; told: Told[] } {
  const taskFile = path.join(folder, 'task.json')
  writeFileSync(taskFile, JSON.stringify(task))
  const child = spawnSync(
    process.execPath,
    [path.join(folder, 'kill-actions.mjs'), path.join(data, 'fern-yard.db'), AT, taskFile, String(nth)],
    { cwd: ROOT, encoding: 'utf8', env: { ...process.env, FERN_YARD_LOG: 'silent', FERN_YARD_DATA: data } },
  )
  if (child.status !== 0 && child.signal !== 'SIGKILL') throw new Error(child.stderr)
  const told = child.stdout.split('\n').filter(Boolean)
  return { killed: child.signal === 'SIGKILL', told: told.map((line) => JSON.parse(line) as Told) }
}

async function look(data: string): Promise<Record<string, string>> {
  const db = connect(path.join(data, 'fern-yard.db'))
  const [integrity, broken] = [
    await db.raw('PRAGMA integrity_check'),
    await db.raw('PRAGMA foreign_key_check'),
  ]
  expect([integrity, broken]).toEqual([[{ integrity_check: 'ok' }], []])
  const state = await stateOfShop(db)
  await db.destroy()
  return state
}

/** For whoever has to find what was left half done. */
const tablesApart = (one: Record<string, string> | undefined, two: Record<string, string>) =>
  Object.keys(two).filter((table) => one?.[table] !== two[table])

test(
  'killed before any statement, a deed is done wholly or not at all, and done again it is done once',
  async () => {
    // As if nothing had happened: how the shop stands before, and after each deed.
    const calm = fresh('calm')
    const stands = [await look(calm)]
    const { told } = run(calm, 0, { deeds: all, said: [], looks: true })
    for (const { state } of told) stands.push(state!)
    const { statements } = told.at(-1)!
    expect(told.filter(({ answer }) => !isTaken(answer))).toEqual([])
    expect(stands).toHaveLength(all.length + 1)
    for (const [at, deed] of all.entries()) expect(stands[at + 1], deed.key).not.toEqual(stands[at])

    let kills = 0
    const [most, stride] = [tries(CUTS, 300), Math.ceil(statements! / CUTS)]
    for (let first = 1; kills < most; first += Math.ceil(stride / CUTS)) {
      const killed = fresh('killed')
      const said: Said[] = []
      // Killed again and again, each time further on, until all is done; the last that was answered is asked once more.
      for (let nth = first; ; ) {
        const from = Math.max(0, said.length - 1)
        const { killed: died, told: heard } = run(killed, nth, { deeds: all.slice(from), said, looks: false })
        const before = said.length
        for (const each of heard) if (!said.some(({ key }) => key === each.key)) said.push(each)
        const state = await look(killed)
        // What was answered stands; the deed it died in stands wholly or not at all.
        const stood = stands.findIndex((each) => isDeepStrictEqual(each, state))
        const near = [said.length, said.length + 1]
        const apart = near.map((at) => tablesApart(stands[at], state))
        const where = `killed before statement ${nth} after ${said[from]?.key}; tables apart: ${JSON.stringify(apart)}`
        expect(near, where).toContain(stood)
        if (!died) break
        kills += 1
        // A deed of many statements is died in more than once.
        nth = said.length > before ? stride : nth + stride
      }
      expect(await look(killed)).toEqual(stands.at(-1))
      // Asked all over again, everything is answered, and nothing is done.
      expect(run(killed, 0, { deeds: all, said: [], looks: false }).told).toHaveLength(all.length)
      expect(await look(killed)).toEqual(stands.at(-1))
    }
    expect(kills).toBeGreaterThanOrEqual(most)
  },
  tries(300_000, 1_800_000),
)
