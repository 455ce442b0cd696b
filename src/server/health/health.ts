import { readFileSync } from 'node:fs'
import { stat, statfs } from 'node:fs/promises'
import path from 'node:path'
import type { Knex } from 'knex'
import type { Instant } from '@/core/time'
import { backupPlaces, listBackups } from '../backup/places'
import { databaseFile, dataFolder } from '../db/data-folder'
import { MIGRATIONS } from '../db/migrations'
import { type Fault, latestFaults } from './faults'

/** How the shop's machine stands. */

export type Space = { freeBytes: number; isShort: boolean }

/** With less room than this somebody has to make some: a day of photographs is a tenth of it. Bytes (mem). */
const SHORT_BELOW = 1024 ** 3

/** The room left on the disk the shop is on. */
export async function spaceLeft(): Promise<Space> {
  const { bavail, bsize } = await statfs(dataFolder())
  const freeBytes = bavail * bsize
  return { freeBytes, isShort: freeBytes < SHORT_BELOW }
}

export type Health = {
  version: string
  /** The last step of the database. */
  step: string
  since: number
  space: Space
  databaseBytes: number
  backup: Instant | undefined
  isBackedUpByHand: boolean
  waiting: number
  failed: number
  refused: number
  faults: readonly Fault[]
}

const version = (): string =>
  JSON.parse(readFileSync(path.join(/* turbopackIgnore: true */ process.cwd(), 'package.json'), 'utf8'))
    .version

export async function loadHealth(db: Knex): Promise<Health> {
  const count = async (table: 'messages' | 'refused_entries', where: object) =>
    Number((await db(table).where(where).count({ n: '*' }))[0]!.n)
  const { into, byHand } = backupPlaces()
  const [latest] = await listBackups(into)
  return {
    version: version(),
    step: MIGRATIONS.at(-1)!.name,
    since: performance.timeOrigin,
    space: await spaceLeft(),
    databaseBytes: (await stat(databaseFile())).size,
    backup: latest?.at,
    isBackedUpByHand: byHand,
    waiting: await count('messages', { state: 'waiting' }),
    failed: await count('messages', { state: 'failed' }),
    refused: await count('refused_entries', {}),
    faults: latestFaults(),
  }
}
