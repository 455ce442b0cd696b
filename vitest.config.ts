import path from 'node:path'
import { defineConfig } from 'vitest/config'
import { BaseSequencer, type TestSpecification } from 'vitest/node'

/** Files that take long: they begin first, so that at the end nobody waits for one of them alone. */
const LONG = /(kill|queries|connection|outbox|small-problem|exact|aftercare)\.test\.ts$/

class LongFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]) {
    const sorted = await super.sort(files)
    const isLong = ({ moduleId }: TestSpecification) => LONG.test(moduleId)
    return [...sorted.filter(isLong), ...sorted.filter((file) => !isLong(file))]
  }
}

export default defineConfig({
  resolve: {
    alias: { '@demo': path.join(import.meta.dirname, 'demo'), '@': path.join(import.meta.dirname, 'src') },
  },
  test: {
    globalSetup: ['src/helpers.setup.ts'],
    setupFiles: ['src/draws.setup.ts'],
    include: ['{src,cli,demo}/**/*.test.ts'],
    testTimeout: 120_000,
    hookTimeout: 120_000,
    // One module graph for the files of a thread: loading it anew for each takes longer than the tests do.
    pool: 'threads',
    isolate: false,
    maxWorkers: 2,
    sequence: { sequencer: LongFirst },
    env: { FERN_YARD_LOG: 'silent' },
  },
})
