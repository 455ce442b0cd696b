// Debian's Chromium for the browser tests: found, or installed where that is possible.
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { run, say } from './steps.mjs'

const CHROMIUM = '/usr/bin/chromium'

export function ensureBrowser() {
  if (existsSync(CHROMIUM)) return
  if (process.getuid?.() !== 0 || spawnSync('apt-get', ['--version']).status !== 0) {
    say(`the browser tests need ${CHROMIUM}; install Debian's package “chromium” and run this again.`)
    process.exit(1)
  }
  say('installing Chromium …')
  const quiet = {
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    stdio: ['ignore', 'ignore', 'inherit'],
  }
  run('apt-get', ['update', '-qq'], quiet)
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], quiet)
}
