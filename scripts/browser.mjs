// Debian's Chromium for the browser tests: found, or installed where that is possible.
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { say } from './steps.mjs'

/** Without the windows around the page, which nobody sees here: a quarter of the stories' time. */
const SHELL = { package: 'chromium-headless-shell', path: '/usr/bin/chromium-headless-shell' }
const WHOLE = { package: 'chromium', path: '/usr/bin/chromium' }

const found = () => [SHELL, WHOLE].find(({ path }) => existsSync(path))

/** Where the browser for tests, pictures and benchmarks stands on this machine. */
export const browserPath = () => (found() ?? WHOLE).path

function installed(name) {
  const options = {
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    stdio: ['ignore', 'ignore', 'inherit'],
  }
  return spawnSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], options).status === 0
}

export function ensureBrowser() {
  if (existsSync(SHELL.path)) return
  if (process.getuid?.() === 0 && spawnSync('apt-get', ['--version']).status === 0) {
    say('installing Chromium …')
    spawnSync('apt-get', ['update', '-qq'], { stdio: ['ignore', 'ignore', 'inherit'] })
    if (installed(SHELL.package)) return
    if (!found()) installed(WHOLE.package)
  }
  if (found()) return
  say(`the browser tests need ${WHOLE.path}; install Debian's package “${WHOLE.package}” and run this again.`)
  process.exit(1)
}
