// Everything that must hold: types, lint, the build, unit tests, the browser stories. Ends with one line of counts.
import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import path from 'node:path'
import { ensureBrowser } from './browser.mjs'
import { bin, buildSteps, exitOf, ROOT, say, sideBySide, unpack } from './steps.mjs'

const RESULTS = path.join(ROOT, 'test-results')
/** What needs no database, and can be tried while SQLite compiles itself. */
const WITHOUT_DATABASE = 'src/core/'

const compiling = unpack()
ensureBrowser()
rmSync(RESULTS, { recursive: true, force: true })
mkdirSync(RESULTS, { recursive: true })

const counts = { passed: 0, failed: 0, twice: 0 }

/** Runs a test runner that writes a JSON report; it may fail, the counts decide. */
async function counted(command, report, count) {
  const code = await exitOf(command)
  const { passed, failed } = count(JSON.parse(readFileSync(report, 'utf8')))
  counts.passed += passed
  // A runner that fails without a failing test has broken down; that must not pass for green.
  counts.failed += code !== 0 && failed === 0 ? 1 : failed
}

function units(name, args) {
  const report = path.join(RESULTS, `${name}.json`)
  const reporters = ['--reporter=default', '--reporter=json', `--outputFile.json=${report}`]
  return counted([bin('vitest'), ['run', ...reporters, ...args]], report, (found) => ({
    passed: found.numPassedTests,
    failed: found.numFailedTests + found.numFailedTestSuites * (found.numFailedTests === 0 ? 1 : 0),
  }))
}

say(
  compiling.length > 0
    ? 'types, lint, the build and the core, while SQLite compiles itself …'
    : 'types, lint, the build and the core …',
)
await sideBySide(
  [
    ...compiling,
    async () => {
      await units('core', [WITHOUT_DATABASE, '--maxWorkers=1'])
      return 0
    },
  ],
  [[bin('next'), ['typegen']], [bin('tsc'), ['--noEmit']], [bin('biome'), ['check', '.']], ...buildSteps()],
)

say('all other units …')
await units('unit', [`--exclude=${WITHOUT_DATABASE}**`])

say('browser stories …')
const stories = path.join(RESULTS, 'stories.json')
await counted(
  [bin('playwright'), ['test', '--reporter=list,json'], { PLAYWRIGHT_JSON_OUTPUT_NAME: stories }],
  stories,
  ({ stats }) => {
    counts.twice = stats.flaky
    return { passed: stats.expected + stats.flaky, failed: stats.unexpected }
  },
)

const twice = counts.twice > 0 ? `, ${counts.twice} of them only when tried again` : ''
console.log(`${counts.passed} passed${twice}, ${counts.failed} failed`)
process.exit(counts.failed > 0 ? 1 : 0)
