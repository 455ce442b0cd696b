// The steps that demo, start and test share. Plain Node: they run before anything is installed.
import { spawn, spawnSync } from 'node:child_process'
import { existsSync, readdirSync, statSync } from 'node:fs'
import path from 'node:path'

export const ROOT = path.resolve(import.meta.dirname, '..')
const at = (...parts) => path.join(ROOT, ...parts)

export const environment = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' }

export function say(text) {
  console.log(`fern-yard: ${text}`)
}

/** Runs a command in the project and ends the script with its exit code if it fails. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: environment,
    ...options,
  })
  if (error) throw error
  if (status !== 0) process.exit(status ?? 1)
}

/** Runs a command beside whatever else runs, and answers its exit code. */
export const exitOf = ([command, args, env = {}]) =>
  new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...environment, ...env } })
    child.once('error', reject)
    child.once('exit', (code) => resolve(code ?? 1))
  })

/**
 * Runs lanes of commands side by side, those of a lane one after another; ends the script with the first exit code that is not 0.
 * A command may be a function that runs something by itself and answers such a code.
 */
export async function sideBySide(...lanes) {
  const codes = await Promise.all(
    lanes.map(async (lane) => {
      for (const command of lane) {
        const code = await (typeof command === 'function' ? command() : exitOf(command))
        if (code !== 0) {
          if (Array.isArray(command)) say(`failed: ${path.basename(command[0])} ${command[1].join(' ')}`)
          return code
        }
      }
      return 0
    }),
  )
  const failed = codes.find((code) => code !== 0)
  if (failed !== undefined) process.exit(failed)
}

export const bin = (name) => at('node_modules', '.bin', name)

function newest(place) {
  if (!existsSync(place)) return 0
  const stat = statSync(place)
  if (!stat.isDirectory()) return stat.mtimeMs
  return Math.max(0, ...readdirSync(place).map((name) => newest(path.join(place, name))))
}

const SQLITE = at('node_modules', 'better-sqlite3', 'build', 'Release', 'better_sqlite3.node')

/** Whether the locked dependencies are there, and what compiles itself has. */
function isInstalled() {
  const marker = at('node_modules', '.package-lock.json')
  return (
    existsSync(SQLITE) &&
    existsSync(marker) &&
    statSync(marker).mtimeMs >= statSync(at('package-lock.json')).mtimeMs
  )
}

/** Installs the locked dependencies where they are missing or older than the lock. */
export function install() {
  if (isInstalled()) return
  say('installing the locked dependencies (SQLite compiles itself, about two minutes) …')
  run('npm', ['ci', '--no-audit', '--no-fund'])
}

/**
 * The same, but leaves what is to be compiled to the commands it answers: they may run while something else does. Optimising all of
 * SQLite takes longer than the tests would gain by it.
 */
export function unpack() {
  if (isInstalled()) return []
  say('installing the locked dependencies …')
  run('npm', ['ci', '--no-audit', '--no-fund', '--ignore-scripts'])
  return [['npm', ['rebuild', '--no-audit', '--no-fund'], { CFLAGS: '-O1' }]]
}

/** What builds the app; nothing where no source has changed since the last build. */
export function buildSteps() {
  const sources = [
    'src',
    'demo',
    'next.config.ts',
    'postcss.config.mjs',
    'package-lock.json',
    'tsconfig.json',
  ]
  const built = Math.min(newest(at('.next', 'BUILD_ID')), newest(at('.threads')))
  if (built > 0 && sources.every((source) => newest(at(source)) <= built)) return []
  return [
    [bin('next'), ['build']],
    [process.execPath, ['scripts/threads.mjs']],
  ]
}

export function build() {
  const steps = buildSteps()
  if (steps.length > 0) say('building …')
  for (const [command, args] of steps) run(command, args)
}

export function address() {
  return { host: process.env.HOST ?? '127.0.0.1', port: process.env.PORT ?? '3210' }
}

/** Serves the built app until it is stopped. The database is brought up to date at the first request. */
export function serve() {
  const { host, port } = address()
  const scheme = process.env.HTTPS === 'on' ? 'https' : 'http'
  say(`serving on ${scheme}://${host}:${port} (Ctrl+C stops it)`)
  run(process.execPath, [at('scripts', 'server.mjs')], {
    env: { ...environment, ...process.env, NODE_ENV: 'production' },
  })
}
