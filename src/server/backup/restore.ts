import { createHash } from 'node:crypto'
import { createReadStream, createWriteStream, existsSync } from 'node:fs'
import { mkdir, mkdtemp, open, rename, rm } from 'node:fs/promises'
import path from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGunzip } from 'node:zlib'
import { extract } from 'tar-stream'
import type { BadBackup } from '@/core/backup'
import { MIGRATIONS } from '../db/migrations'
import { describeDatabase } from './make'
import { DATABASE, MANIFEST, type Manifest, manifestSchema } from './manifest'
import { unsealed } from './seal'

export class BackupError extends Error {
  constructor(readonly bad: BadBackup) {
    super(bad.code)
  }
}

const bad = (why: BadBackup): never => {
  throw new BackupError(why)
}

/** Nothing but the database, photographs by their hash, and the list of them; no way out of the folder. */
const NAME = /^(fern-yard\.db|manifest\.json|photos\/[0-9a-f]{2}\/[0-9a-f]{64}(\.thumb)?\.jpg)$/
const AGE = 'age-encryption.org/v1'

async function isSealed(file: string): Promise<boolean> {
  const handle = await open(file).catch(() => bad({ code: 'no-such-file' }))
  try {
    const { buffer, bytesRead } = await handle.read(Buffer.alloc(AGE.length), 0, AGE.length, 0)
    return buffer.subarray(0, bytesRead).toString() === AGE
  } finally {
    await handle.close()
  }
}

async function opened(file: string, passphrase: string | undefined): Promise<Readable> {
  if (!(await isSealed(file))) return createReadStream(file)
  if (passphrase === undefined) return bad({ code: 'needs-passphrase' })
  return unsealed(createReadStream(file), passphrase).catch(() => bad({ code: 'wrong-passphrase' }))
}

type Found = { name: string; bytes: number; sha256: string }

/** Writes everything a backup holds into a folder; gives what was found in it, the list apart. */
async function unpack(plain: Readable, folder: string): Promise<{ found: Found[]; manifest: string }> {
  const archive = extract()
  const found: Found[] = []
  let manifest = ''
  const read = (async () => {
    for await (const entry of archive) {
      const { name } = entry.header
      if (!NAME.test(name)) bad({ code: 'damaged', name })
      if (name === MANIFEST) {
        const pieces: Buffer[] = []
        for await (const piece of entry as AsyncIterable<Uint8Array>) pieces.push(Buffer.from(piece))
        manifest = Buffer.concat(pieces).toString('utf8')
        continue
      }
      const file = path.join(folder, name)
      await mkdir(path.dirname(file), { recursive: true, mode: 0o700 })
      const hash = createHash('sha256')
      let bytes = 0
      await pipeline(
        Readable.from(entry),
        async function* (pieces) {
          for await (const piece of pieces) {
            hash.update(piece)
            bytes += piece.length
            yield piece
          }
        },
        createWriteStream(file, { mode: 0o600, flush: true }),
      )
      found.push({ name, bytes, sha256: hash.digest('hex') })
    }
  })()
  await Promise.all([pipeline(plain, createGunzip(), archive), read])
  return { found, manifest }
}

function readManifest(text: string): Manifest {
  try {
    return manifestSchema.parse(JSON.parse(text))
  } catch {
    return bad({ code: 'damaged', name: MANIFEST })
  }
}

/** Whether what was unpacked is what was packed: each file by its checksum, none too many, the database whole and with all its rows. */
function check({ found, manifest: text }: { found: Found[]; manifest: string }, folder: string): Manifest {
  const manifest = readManifest(text)
  if (!MIGRATIONS.some(({ name }) => name === manifest.step)) bad({ code: 'newer', step: manifest.step })
  const known = new Map(manifest.files.map((file) => [file.name, file]))
  for (const file of found)
    if (known.get(file.name)?.sha256 !== file.sha256) bad({ code: 'damaged', name: file.name })
  if (found.length !== manifest.files.length || !known.has(DATABASE)) bad({ code: 'damaged' })
  let described: Pick<Manifest, 'step' | 'journal' | 'rows'> | undefined
  try {
    described = describeDatabase(path.join(folder, DATABASE))
  } catch {
    bad({ code: 'damaged', name: DATABASE })
  }
  const { step, journal, rows } = manifest
  if (JSON.stringify(described) !== JSON.stringify({ step, journal, rows }))
    bad({ code: 'damaged', name: DATABASE })
  return manifest
}

/** Unpacks a backup into an empty folder and checks all of it. Throws `BackupError` with why it cannot be used. */
export async function unpackBackup(file: string, folder: string, passphrase?: string): Promise<Manifest> {
  const plain = await opened(file, passphrase)
  const unpacked = await unpack(plain, folder).catch((error) => {
    if (error instanceof BackupError) throw error
    return bad({ code: 'damaged' })
  })
  return check(unpacked, folder)
}

/** Restores a backup into a scratch folder, compares, and leaves nothing behind: whether one could return after a fire. */
export async function rehearseBackup(file: string, scratch: string, passphrase?: string): Promise<Manifest> {
  await mkdir(scratch, { recursive: true, mode: 0o700 })
  const folder = await mkdtemp(path.join(scratch, '.rehearsal-'))
  try {
    return await unpackBackup(file, folder, passphrase)
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}

export type Restored = { manifest: Manifest; stoodBefore?: string }

/**
 * Puts a backup in the place of a data folder. What stood there is kept beside it under a name of its own; nothing is touched before the whole
 * backup has been unpacked and checked.
 */
export async function restoreBackup(
  {
    file,
    folder,
    passphrase,
    servedBy,
  }: { file: string; folder: string; passphrase?: string; servedBy?: number },
  now: Date,
): Promise<Restored> {
  if (servedBy !== undefined) bad({ code: 'in-use', process: servedBy })
  const parent = path.dirname(folder)
  await mkdir(parent, { recursive: true })
  const fresh = await mkdtemp(path.join(parent, `${path.basename(folder)}.restoring-`))
  try {
    const manifest = await unpackBackup(file, fresh, passphrase)
    if (!existsSync(folder)) {
      await rename(fresh, folder)
      return { manifest }
    }
    const stoodBefore = `${folder}.before-${now.toISOString().slice(0, 19).replaceAll(/[:-]/g, '')}Z`
    await rename(folder, stoodBefore)
    await rename(fresh, folder)
    return { manifest, stoodBefore }
  } catch (error) {
    await rm(fresh, { recursive: true, force: true })
    throw error
  }
}
