import { readdir, rm, stat } from 'node:fs/promises'
import path from 'node:path'
import type { Knex } from 'knex'
import { photoFolder } from './photo-files'

/** What lies among the photographs and belongs to none: halves that a crash left, and pictures that were never entered. */

const HOUR_MS = 3_600_000
/** A picture is entered right after it is stored; a day later nobody will. A half is written in seconds. */
const HALF_AFTER_MS = HOUR_MS
const STRAY_AFTER_MS = 24 * HOUR_MS

const STORED = /^([0-9a-f]{64})(\.thumb)?\.jpg$/
const HALF = /\.part$/

/** Removes it, and gives how many files that were. `nowMs` is the machine's own time, as its files bear it. */
export async function sweepPhotos(db: Knex, nowMs: number): Promise<number> {
  const known = new Set<string>(await db('photos').distinct().pluck('hash'))
  const isStray = (name: string, ageMs: number) => {
    if (HALF.test(name)) return ageMs > HALF_AFTER_MS
    const hash = STORED.exec(name)?.[1]
    return hash !== undefined && !known.has(hash) && ageMs > STRAY_AFTER_MS
  }
  const files = await readdir(photoFolder(), { recursive: true, withFileTypes: true }).catch(() => [])
  let swept = 0
  for (const file of files.filter((each) => each.isFile())) {
    const at = path.join(file.parentPath, file.name)
    const found = await stat(at).catch(() => undefined)
    if (!found || !isStray(file.name, nowMs - found.mtimeMs)) continue
    await rm(at, { force: true })
    swept += 1
  }
  return swept
}
