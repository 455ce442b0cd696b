import { readFileSync } from 'node:fs'
import { copyFile, mkdir, readdir, rename, rm, stat } from 'node:fs/promises'
import path from 'node:path'
import { keptDays } from '@/core/backup'
import { dayIn, type Instant, instantOf } from '@/core/time'
import { dataFolder } from '../db/data-folder'
import { type BackupMade, makeBackup } from './make'

/** Where backups lie, which there are, and which are let go. */

export type Places = {
  /** No backup is made by itself: somebody else sees to it. */
  byHand: boolean
  /** Of backups; beside the data folder where nothing is said. */
  into: string
  /** Another disk, to which each is copied. */
  second?: string
  /** The file that holds what they are encrypted with. */
  secret?: string
}

const BY_HAND = 'by-hand'

/** From the environment: `FERN_YARD_BACKUPS` (a folder, or `by-hand`), `FERN_YARD_BACKUPS_2`, `FERN_YARD_BACKUP_PASSPHRASE_FILE`. */
export function backupPlaces(
  env: Readonly<Record<string, string | undefined>> = process.env,
  folder = dataFolder(),
): Places {
  const { FERN_YARD_BACKUPS, FERN_YARD_BACKUPS_2, FERN_YARD_BACKUP_PASSPHRASE_FILE: secret } = env
  const beside = `${folder}-backups`
  return {
    byHand: FERN_YARD_BACKUPS === BY_HAND,
    into: path.resolve(
      /* turbopackIgnore: true */ FERN_YARD_BACKUPS === BY_HAND ? beside : (FERN_YARD_BACKUPS ?? beside),
    ),
    ...(FERN_YARD_BACKUPS_2 ? { second: path.resolve(/* turbopackIgnore: true */ FERN_YARD_BACKUPS_2) } : {}),
    ...(secret ? { secret } : {}),
  }
}

/** What backups are encrypted with. Throws where the file is gone or empty: whoever wants them encrypted is given none that anybody can read. */
export function passphraseOf({ secret }: Places): string | undefined {
  if (secret === undefined) return undefined
  const passphrase = readFileSync(/* turbopackIgnore: true */ secret, 'utf8').trimEnd()
  if (passphrase === '') throw new Error('the file of the passphrase of backups is empty')
  return passphrase
}

export type Kept = { name: string; at: Instant; bytes: number }

const NAME = /^fern-yard-(\d{4})(\d{2})(\d{2})T(\d{2})(\d{2})Z\.tar\.gz(\.age)?$/

/** The backups in a folder, the latest first; none where there is no such folder. */
export async function listBackups(folder: string): Promise<Kept[]> {
  const names = await readdir(folder).catch(() => [])
  const kept: Kept[] = []
  for (const name of names) {
    const read = NAME.exec(name)
    if (!read) continue
    const [, year, month, day, hour, minute] = read.map(Number)
    const at = instantOf(new Date(Date.UTC(year!, month! - 1, day, hour, minute)))
    kept.push({ name, at, bytes: (await stat(path.join(folder, name))).size })
  }
  return kept.sort((a, b) => (a.at < b.at ? 1 : -1))
}

/** Lets go of those that are not kept. Of one day the latest stays. */
export async function letGo(folder: string, zone: string): Promise<void> {
  const all = await listBackups(folder)
  const latest = new Map(all.toReversed().map((each) => [dayIn(zone, each.at), each.name]))
  const kept = new Set(keptDays([...latest.keys()]).map((day) => latest.get(day)))
  for (const { name } of all) if (!kept.has(name)) await rm(path.join(folder, name), { force: true })
}

async function copyTo(folder: string, file: string): Promise<void> {
  await mkdir(folder, { recursive: true, mode: 0o700 })
  const draft = path.join(folder, `.copying-${path.basename(file)}`)
  await copyFile(file, draft)
  await rename(draft, path.join(folder, path.basename(file)))
}

/** Makes a backup, copies it to the second place, and lets go of old ones. What the second place is missing is thrown after the first has it. */
export async function backUp(
  zone: string,
  at: Instant,
  places: Places = backupPlaces(),
): Promise<BackupMade> {
  const { into, second } = places
  const passphrase = passphraseOf(places)
  const made = await makeBackup({ folder: dataFolder(), into, ...(passphrase ? { passphrase } : {}) }, at)
  await letGo(into, zone)
  if (second) {
    await copyTo(second, made.file)
    await letGo(second, zone)
  }
  return made
}
