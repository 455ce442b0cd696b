import path from 'node:path'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  resolve: {
    alias: { '@demo': path.join(import.meta.dirname, 'demo'), '@': path.join(import.meta.dirname, 'src') },
  },
  test: {
    setupFiles: ['src/draws.setup.ts'],
    include: ['{src,cli,demo}/**/*.test.ts'],
    testTimeout: 120_000,
    hookTimeout: 120_000,
    // One module graph for the files of a thread: loading it anew for each takes longer than the tests do.
    pool: 'threads',
    isolate: false,
    maxWorkers: 2,
    env: { FERN_YARD_LOG: 'silent' },
  },
})
