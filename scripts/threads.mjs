// Bundles the entry points of the server's own threads: Next builds what answers pages, and knows nothing of them.
import path from 'node:path'
import { build } from 'esbuild'

const ROOT = path.resolve(import.meta.dirname, '..')

await build({
  absWorkingDir: ROOT,
  entryPoints: ['src/workers/compute-thread.ts'],
  outdir: '.threads',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  jsx: 'automatic',
  logLevel: 'warning',
})
