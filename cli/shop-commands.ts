import { existsSync } from 'node:fs'
import path from 'node:path'
import { parseArgs } from 'node:util'
import { instantOf } from '@/core/time'
import { said } from '@/server/action/in-words'
import { verifyJournal } from '@/server/action/journal'
import { makeBackup } from '@/server/backup/make'
import { backupPlaces } from '@/server/backup/places'
import { BackupError, rehearseBackup, restoreBackup } from '@/server/backup/restore'
import { connect, openDatabase } from '@/server/db/connection'
import { UnknownHistory } from '@/server/db/migrations'
import { recoverOwner } from '@/server/staff/recover'
import { badBackupText } from '@/text/en/backup'
import { servedBy } from '../scripts/may-open.mjs'
import { BadInput, readText } from './input'
import type { Said } from './run'
import { SHOP_USAGE, type ShopCommand } from './shop-usage'

/** Commands about the folder of a shop itself. They take their time, and say what came of it as JSON. */

const OPTIONS = {
  data: { type: 'string' },
  into: { type: 'string' },
  'passphrase-file': { type: 'string' },
  rehearse: { type: 'boolean' },
} as const

type Given = {
  files: string[]
  /** The data folder. */
  folder: string
  into: string
  /** As it is given. */
  passphrase?: string
  /** As the shop itself encrypts. */
  secret?: string
  rehearse: boolean
}

function given(args: readonly string[]): Given {
  let read: ReturnType<typeof parseArgs<{ options: typeof OPTIONS; allowPositionals: true }>>
  try {
    read = parseArgs({ args: [...args], options: OPTIONS, allowPositionals: true })
  } catch (error) {
    throw new BadInput([error instanceof Error ? error.message : String(error), ...SHOP_USAGE])
  }
  const { data, into, 'passphrase-file': secret, rehearse = false } = read.values
  const folder = path.resolve(data ?? process.env.FERN_YARD_DATA ?? 'data')
  const places = backupPlaces(process.env, folder)
  return {
    files: read.positionals,
    folder,
    into: into ? path.resolve(into) : places.into,
    ...(secret ? { passphrase: textOf(secret) } : {}),
    ...(places.secret ? { secret: places.secret } : {}),
    rehearse,
  }
}

function textOf(file: string): string {
  const text = readText(file).trimEnd()
  if (text === '') throw new BadInput([`${file}: there is no passphrase in this file.`])
  return text
}

/** What a backup is encrypted with: what is given, or what the shop is set to. */
const keyOf = ({ passphrase, secret }: Given) => passphrase ?? (secret ? textOf(secret) : undefined)

function theShop(folder: string): string {
  const file = path.join(folder, 'fern-yard.db')
  if (!existsSync(file))
    throw new BadInput([`${folder}: there is no shop in this folder. Name it with --data FOLDER.`])
  return file
}

async function backup(asked: Given) {
  const { folder, into } = asked
  theShop(folder)
  const passphrase = keyOf(asked)
  return makeBackup({ folder, into, ...(passphrase ? { passphrase } : {}) }, instantOf(new Date()))
}

async function restore(asked: Given) {
  const { files, folder, rehearse } = asked
  const [file] = files
  if (file === undefined) throw new BadInput(['name the backup to restore.', ...SHOP_USAGE])
  const passphrase = keyOf(asked)
  try {
    if (rehearse)
      return {
        whole: true,
        ...(await rehearseBackup(file, path.dirname(folder), passphrase)),
        files: undefined,
      }
    const by = servedBy(folder)
    const { manifest, stoodBefore } = await restoreBackup(
      { file, folder, ...(passphrase ? { passphrase } : {}), ...(by === undefined ? {} : { servedBy: by }) },
      new Date(),
    )
    return {
      restored: folder,
      madeAt: manifest.madeAt,
      rows: manifest.rows,
      ...(stoodBefore ? { stoodBefore } : {}),
    }
  } catch (error) {
    if (error instanceof BackupError) throw new BadInput([`${file}: ${badBackupText(error.bad)}`])
    throw error
  }
}

async function journal({ folder }: Given) {
  const db = connect(theShop(folder), { readOnly: true })
  try {
    return await verifyJournal(db)
  } finally {
    await db.destroy()
  }
}

async function owner({ files: [name], folder, passphrase }: Given) {
  if (name === undefined || passphrase === undefined)
    throw new BadInput([
      'name the owner, and the file that holds the new passphrase: --passphrase-file FILE.',
      ...SHOP_USAGE,
    ])
  const db = await openDatabase(theShop(folder)).catch((error: unknown) => {
    throw error instanceof UnknownHistory ? new BadInput([`${folder}: ${error.message}`]) : error
  })
  try {
    const answer = await recoverOwner(db, { name, passphrase }, instantOf(new Date()))
    if ('owners' in answer)
      throw new BadInput([
        answer.owners.length > 0
          ? `no owner is called ${name}. Owners here: ${answer.owners.join(', ')}.`
          : 'nobody is set up as owner here: whoever is at the machine is. Open the shop and set one up under Shop, Who signs in.',
      ])
    if (!answer.ok) throw new BadInput([await said(db, answer.message)])
    return { ...answer.value, signedOutElsewhere: true }
  } finally {
    await db.destroy()
  }
}

const COMMANDS: Readonly<Record<ShopCommand, (asked: Given) => Promise<object>>> = {
  backup,
  restore,
  journal,
  owner,
}

/** Runs a command about the shop's folder: JSON on standard output, messages on standard error, 2 for bad input, 1 where a journal was altered. */
export async function runShopCommand(name: ShopCommand, rest: readonly string[]): Promise<Said> {
  try {
    const answer = await COMMANDS[name](given(rest))
    const status = 'broken' in answer ? 1 : 0
    return { status, stdout: `${JSON.stringify(answer, null, 2)}\n`, stderr: '' }
  } catch (error) {
    if (!(error instanceof BadInput)) throw error
    return { status: 2, stdout: '', stderr: error.faults.map((fault) => `yard: ${fault}\n`).join('') }
  }
}
