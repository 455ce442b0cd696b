import { createHash } from 'node:crypto'
import { createReadStream, createWriteStream } from 'node:fs'
import { mkdir, mkdtemp, open, readdir, rename, rm, stat } from 'node:fs/promises'
import path from 'node:path'
import type { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGzip } from 'node:zlib'
import Database from 'better-sqlite3'
import { type Pack, pack } from 'tar-stream'
import type { Instant } from '@/core/time'
import { BACKUP_FORMAT, DATABASE, MANIFEST, type Manifest } from './manifest'
import { sealed } from './seal'

/**
 * A backup is one file: the database as it stood at one moment, every photograph, and what they are known again by, as tar, gzip and, where a
 * passphrase is given, age. The database is copied by SQLite itself (its online backup), so that nothing that was acknowledged is missing from
 * it, whatever is written meanwhile.
 */

/** Nothing but what a photograph is called: a file half written is none. */
const PHOTO = /^[0-9a-f]{64}(\.thumb)?\.jpg$/
/** All pages at once: a copy of half of them begins anew whenever somebody writes. */
const ALL_PAGES = 0x7fffffff

/** Copies a database that is in use, as it stands at one moment. */
export async function copyDatabase(from: string, to: string): Promise<void> {
  const source = new Database(from, { readonly: true, fileMustExist: true })
  try {
    await source.backup(to, { progress: () => ALL_PAGES })
  } finally {
    source.close()
  }
}

/** What a copy of the database says of itself. */
export function describeDatabase(file: string): Pick<Manifest, 'step' | 'journal' | 'rows'> {
  const copy = new Database(file, { readonly: true, fileMustExist: true })
  try {
    const [{ quick_check: found }] = copy.pragma('quick_check(1)') as [{ quick_check: string }]
    if (found !== 'ok') throw new Error(`the copy is damaged: ${found}`)
    const tables = copy
      .prepare<[], { name: string }>(
        "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
      )
      .all()
    const count = (table: string) =>
      copy.prepare<[], { count: number }>(`SELECT count(*) AS count FROM "${table}"`).get()!.count
    return {
      step: copy.prepare<[], { name: string }>('SELECT name FROM migrations ORDER BY position DESC').get()!
        .name,
      journal:
        copy
          .prepare<[], { chain: string | null }>('SELECT chain FROM action_journal ORDER BY position DESC')
          .get()?.chain ?? null,
      rows: Object.fromEntries(tables.map(({ name }) => [name, count(name)])),
    }
  } finally {
    copy.close()
  }
}

/** The photographs of a data folder, by their names within it. */
async function photosOf(folder: string): Promise<string[]> {
  const photos = path.join(folder, 'photos')
  const names = await readdir(photos, { recursive: true }).catch(() => [])
  return names
    .filter((name) => PHOTO.test(path.basename(name)))
    .map((name) => path.posix.join('photos', name.split(path.sep).join('/')))
    .sort()
}

/** Puts one file into the archive, and gives what it is known again by. */
async function add(archive: Pack, name: string, file: string, madeAt: Instant) {
  const { size: bytes } = await stat(file)
  const hash = createHash('sha256')
  const entry = archive.entry({ name, size: bytes, mode: 0o600, mtime: new Date(madeAt) })
  await pipeline(
    createReadStream(file),
    async function* (pieces) {
      for await (const piece of pieces) {
        hash.update(piece)
        yield piece
      }
    },
    entry,
  )
  return { name, bytes, sha256: hash.digest('hex') }
}

async function fill(archive: Pack, folder: string, copy: string, madeAt: Instant): Promise<void> {
  const files = [await add(archive, DATABASE, copy, madeAt)]
  for (const name of await photosOf(folder))
    files.push(await add(archive, name, path.join(folder, name), madeAt))
  const manifest: Manifest = { format: BACKUP_FORMAT, madeAt, ...describeDatabase(copy), files }
  archive.entry({ name: MANIFEST, mode: 0o600, mtime: new Date(madeAt) }, JSON.stringify(manifest, null, 1))
  archive.finalize()
}

export type BackupMade = { file: string; bytes: number }

const stamp = (at: Instant) => at.slice(0, 16).replaceAll(/[:-]/g, '')
export const backupName = (at: Instant, isSealed: boolean) =>
  `fern-yard-${stamp(at)}Z.tar.gz${isSealed ? '.age' : ''}`

/**
 * Makes a backup of a data folder in the folder `into`. It has its name once it is whole and on the disk, and no earlier.
 * Throws where there is no room or nothing can be written.
 */
export async function makeBackup(
  { folder, into, passphrase }: { folder: string; into: string; passphrase?: string },
  at: Instant,
): Promise<BackupMade> {
  await mkdir(into, { recursive: true, mode: 0o700 })
  const work = await mkdtemp(path.join(into, '.making-'))
  try {
    const copy = path.join(work, DATABASE)
    await copyDatabase(path.join(folder, DATABASE), copy)
    const archive = pack()
    const zipped: Readable = archive.pipe(createGzip({ level: 6 }))
    const draft = path.join(work, 'backup')
    const stream = passphrase ? await sealed(zipped, passphrase) : zipped
    const filled = fill(archive, folder, copy, at).catch((error) => {
      archive.destroy(error)
      throw error
    })
    const written = pipeline(stream, createWriteStream(draft, { mode: 0o600 }))
    await Promise.all([filled, written])
    const handle = await open(draft)
    await handle.sync()
    await handle.close()
    const file = path.join(into, backupName(at, passphrase !== undefined))
    await rename(draft, file)
    return { file, bytes: (await stat(file)).size }
  } finally {
    await rm(work, { recursive: true, force: true })
  }
}
