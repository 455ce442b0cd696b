// Whether the shop may be served from its folder, looked at before anything of it is touched; each time it may not, with what to do.
import {
  closeSync,
  existsSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  rmSync,
  statfsSync,
  writeSync,
} from 'node:fs'
import { isIP } from 'node:net'
import path from 'node:path'
import Database from 'better-sqlite3'

const DATABASE = 'fern-yard.db'
const PHOTOS = 'photos'
const LOCK = 'served.lock'
/** With less room than this on the disk nothing can be written safely, bytes. */
const LEAST_ROOM = 50 * 1024 * 1024

/** Whether only this machine itself reaches an address. */
export function isLoopback(host) {
  const plain = host.replace(/^\[|\]$/g, '').toLowerCase()
  return plain === 'localhost' || plain === '::1' || (isIP(plain) === 4 && plain.startsWith('127.'))
}

/** What is wrong with where owners of cars are said to reach their pages, with what to do; nothing where it will do or is not set. */
export function wrongPublicUrl(text) {
  if (!text || (URL.canParse(text) && /^https?:$/.test(new URL(text).protocol))) return undefined
  return `FERN_YARD_PUBLIC_URL=${text} is no address. Set one such as https://cars.example, or leave it out, and start again.`
}

/** What is wrong with the file that holds the passphrase of backups, with what to do; nothing where it will do or is not set. */
export function wrongSecret(file) {
  if (!file) return undefined
  try {
    if (readFileSync(file, 'utf8').trimEnd() !== '') return undefined
  } catch {
    // Said below.
  }
  return `FERN_YARD_BACKUP_PASSPHRASE_FILE=${file} cannot be read, or nothing is in it. Write the passphrase of your backups into it, or leave it out, and start again.`
}

/** Whether a process is running. */
function runs(pid) {
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return error.code === 'EPERM'
  }
}

/** Takes the folder for this process; the id of another that has it. Whoever ended without a word has it no longer. */
function takeFolder(folder) {
  const file = path.join(folder, LOCK)
  for (;;) {
    try {
      const lock = openSync(file, 'wx', 0o600)
      writeSync(lock, String(process.pid))
      closeSync(lock)
      return undefined
    } catch (error) {
      if (error.code !== 'EEXIST') throw error
      const pid = servedBy(folder)
      if (pid !== undefined && pid !== process.pid) return pid
      rmSync(file, { force: true })
    }
  }
}

/** The process that serves a folder now; nothing where none does. */
export function servedBy(folder) {
  const file = path.join(folder, LOCK)
  const pid = existsSync(file) ? Number(readFileSync(file, 'utf8')) : Number.NaN
  return Number.isInteger(pid) && pid > 0 && runs(pid) ? pid : undefined
}

export const leaveFolder = (folder) => rmSync(path.join(folder, LOCK), { force: true })

/** What is wrong with a database file; nothing where it can be used. `steps` are the migrations this program knows. */
function faultOfDatabase(file, steps) {
  let database
  try {
    database = new Database(file, { readonly: true, fileMustExist: true })
    const [{ quick_check: found }] = database.pragma('quick_check(1)')
    if (found !== 'ok') return 'broken'
    const has = (name) =>
      database.prepare("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = ?").get(name)
    if (!has('migrations')) return has('jobs') ? 'strange' : undefined
    const done = database.prepare('SELECT name FROM migrations ORDER BY position').all()
    return done.some(({ name }, at) => steps[at] !== name) ? 'newer' : undefined
  } catch (error) {
    return error.code === 'SQLITE_CANTOPEN' ? 'unreadable' : 'broken'
  } finally {
    database?.close()
  }
}

/** Whether somebody can sign in as the owner. */
function hasOwner(file) {
  if (!existsSync(file)) return false
  const database = new Database(file, { readonly: true, fileMustExist: true })
  try {
    const row = database
      .prepare("SELECT 1 FROM accounts WHERE role = 'owner' AND closed_at IS NULL AND passphrase IS NOT NULL")
      .get()
    return row !== undefined
  } catch {
    // Of a time before anybody signed in.
    return false
  } finally {
    database.close()
  }
}

const WORDS = {
  broken: (file) =>
    `The database ${file} is damaged. Leave it as it is, and restore a backup into another folder: npm run yard -- restore FILE.`,
  strange: (file) => `${file} is no database of Fern Yard. Point FERN_YARD_DATA to another folder.`,
  newer: (file) =>
    `${file} was written by a newer version of Fern Yard. Start that version, or point FERN_YARD_DATA to another folder.`,
  unreadable: (file) => `${file} cannot be read. Check who owns it: it has to be the user who starts this.`,
}

/**
 * Looks at the folder and takes it for this process. Gives why not, as a sentence with what to do; nothing where the shop may be served.
 */
export function mayNotOpen({ folder, host, proxies = '', steps, isNew = false }) {
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 })
    const probe = path.join(folder, `.probe-${process.pid}`)
    closeSync(openSync(probe, 'wx', 0o600))
    rmSync(probe)
  } catch (error) {
    return error.code === 'ENOSPC'
      ? `The disk of ${folder} is full. Make room, then start again.`
      : `Nothing can be written in ${folder}. Check who owns it, or point FERN_YARD_DATA to another folder.`
  }
  const { bavail, bsize } = statfsSync(folder)
  if (bavail * bsize < LEAST_ROOM)
    return `Less than ${LEAST_ROOM / 1024 / 1024} MB are left on the disk of ${folder}. Make room, then start again.`
  const other = takeFolder(folder)
  if (other)
    return `Fern Yard is already served from ${folder}, by process ${other}. Stop that one first; if it is none of Fern Yard, delete ${LOCK} in the folder.`
  const why = faultOfFolder({ folder, host, proxies, steps, isNew })
  if (why) leaveFolder(folder)
  return why
}

function faultOfFolder({ folder, host, proxies, steps, isNew }) {
  const file = path.join(folder, DATABASE)
  if (existsSync(file)) {
    const fault = faultOfDatabase(file, steps)
    if (fault) return WORDS[fault](file)
  } else if (
    !isNew &&
    existsSync(path.join(folder, PHOTOS)) &&
    readdirSync(path.join(folder, PHOTOS)).length > 0
  )
    return `${folder} holds photographs but no database: it was lost or moved. Restore a backup, or set FERN_YARD_NEW=1 to begin an empty shop beside them.`
  const setting = isLoopback(host) ? proxies && `FERN_YARD_PROXY=${proxies}` : `HOST=${host}`
  if (setting && !hasOwner(file))
    return `${setting} lets other machines in, and nobody can sign in yet. Start without ${setting.split('=')[0]}, open http://127.0.0.1:${process.env.PORT ?? 3210}/shop/staff on this machine, set up the owner there, and start again.`
  return undefined
}
