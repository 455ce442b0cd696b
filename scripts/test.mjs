// Everything that must hold: types, lint, the build, unit tests, the browser stories. Ends with one line of counts.
import { spawnSync } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import path from 'node:path'
import { ensureBrowser } from './browser.mjs'
import { bin, buildSteps, environment, ROOT, say, sideBySide, unpack } from './steps.mjs'

const RESULTS = path.join(ROOT, 'test-results')

const compiling = unpack()
ensureBrowser()
rmSync(RESULTS, { recursive: true, force: true })
mkdirSync(RESULTS, { recursive: true })

say(
  compiling.length > 0
    ? 'types, lint and the build, while SQLite compiles itself …'
    : 'types, lint and the build …',
)
await sideBySide(compiling, [
  [bin('next'), ['typegen']],
  [bin('tsc'), ['--noEmit']],
  [bin('biome'), ['check', '.']],
  ...buildSteps(),
])

/** Runs a test runner that writes a JSON report; it may fail, the counts decide. */
function counted(name, command, args, report, count) {
  say(`${name} …`)
  const { status } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...environment, ...report.env },
  })
  const counts = count(JSON.parse(readFileSync(report.file, 'utf8')))
  // A runner that fails without a failing test has broken down; that must not pass for green.
  if (status !== 0 && counts.failed === 0) counts.failed = 1
  return counts
}

const unitFile = path.join(RESULTS, 'unit.json')
const unit = counted(
  'unit tests',
  bin('vitest'),
  ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${unitFile}`],
  { file: unitFile, env: {} },
  (report) => ({
    passed: report.numPassedTests,
    failed: report.numFailedTests + report.numFailedTestSuites * (report.numFailedTests === 0 ? 1 : 0),
  }),
)
const storyFile = path.join(RESULTS, 'stories.json')
const stories = counted(
  'browser stories',
  bin('playwright'),
  ['test', '--reporter=list,json'],
  { file: storyFile, env: { PLAYWRIGHT_JSON_OUTPUT_NAME: storyFile } },
  ({ stats }) => ({ passed: stats.expected + stats.flaky, failed: stats.unexpected }),
)

const passed = unit.passed + stories.passed
const failed = unit.failed + stories.failed
console.log(`${passed} passed, ${failed} failed`)
process.exit(failed > 0 ? 1 : 0)
