import { spawnSync } from 'node:child_process'
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs'
import path from 'node:path'

/**
 * Shops that are made once and copied: the demo shop takes seconds to plan and photograph, and tests want it many times. They
 * lie beside the installed packages, one folder for each state of the sources they were made from.
 */

const ROOT = path.resolve(import.meta.dirname, '..')
const KEPT = path.join(ROOT, 'node_modules', '.cache', 'fern-yard-shops')
const SOURCES = ['src/core', 'src/server', 'src/devices', 'demo', 'package-lock.json']
const NO_SOURCE = /\.test\.ts$/
/** Another process may be making the same shop: so long it is waited for, ms. */
const PATIENCE_MS = 180_000
const LOOK_AGAIN_MS = 100
/** Shops made from sources that have changed since are thrown away after a day, ms. */
const KEPT_MS = 24 * 3600 * 1000

/** The demo shop is small where nobody looks at its past, nor at how full the next fortnight is: most tests are faster on it. */
export type ShopKind = 'set-up' | 'demo' | 'years'
const FLAGS: Record<ShopKind, string[]> = { 'set-up': ['--set-up-only'], demo: ['--small'], years: [] }

function newest(place: string): { at: number; files: number } {
  const stat = statSync(place)
  if (!stat.isDirectory()) return { at: stat.mtimeMs, files: 1 }
  return readdirSync(place)
    .filter((name) => !NO_SOURCE.test(name))
    .map((name) => newest(path.join(place, name)))
    .reduce((a, b) => ({ at: Math.max(a.at, b.at), files: a.files + b.files }), { at: 0, files: 0 })
}

let state: string | undefined
function stateOfSources(): string {
  const parts = SOURCES.map((source) => newest(path.join(ROOT, source)))
  state ??= parts.map(({ at, files }) => `${Math.round(at)}-${files}`).join('_')
  return state
}

const pause = (ms: number) => Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, ms)

function make(kept: string, clock: string, kind: ShopKind): void {
  const folder = path.dirname(kept)
  mkdirSync(folder, { recursive: true })
  for (const old of readdirSync(KEPT).map((name) => path.join(KEPT, name)))
    if (old !== folder && Date.now() - statSync(old).mtimeMs > KEPT_MS)
      rmSync(old, { recursive: true, force: true })
  const being = mkdtempSync(`${kept}.`)
  const { status, stderr } = spawnSync(
    path.join(ROOT, 'node_modules/.bin/tsx'),
    ['demo/load.ts', ...FLAGS[kind]],
    { cwd: ROOT, env: { ...process.env, FERN_YARD_DATA: being, FERN_YARD_CLOCK: clock }, encoding: 'utf8' },
  )
  if (status !== 0) throw new Error(stderr)
  renameSync(being, kept)
}

/** Copies a shop as it stands at `clock` into `folder`, which becomes its data folder. Throws where it cannot be made. */
export function copyShop(folder: string, clock: string, kind: ShopKind): void {
  const at = new Date(clock).toISOString()
  const kept = path.join(KEPT, stateOfSources(), `${kind}-${at.replaceAll(/[^\dTZ]/g, '')}`)
  const busy = `${kept}.busy`
  const deadline = Date.now() + PATIENCE_MS
  while (!existsSync(kept)) {
    mkdirSync(path.dirname(kept), { recursive: true })
    let mine = false
    try {
      mkdirSync(busy)
      mine = true
      if (!existsSync(kept)) make(kept, at, kind)
    } catch (error) {
      if (mine || Date.now() > deadline) throw error
      pause(LOOK_AGAIN_MS)
    } finally {
      if (mine) rmSync(busy, { recursive: true, force: true })
    }
  }
  cpSync(kept, folder, { recursive: true })
}
