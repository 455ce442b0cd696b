// Bundles the entry points of the server's own threads: Next builds what answers pages, and knows nothing of them.
import { rmSync } from 'node:fs'
import path from 'node:path'
import { build } from 'esbuild'

const ROOT = path.resolve(import.meta.dirname, '..')

rmSync(path.join(ROOT, '.threads'), { recursive: true, force: true })
await build({
  absWorkingDir: ROOT,
  entryPoints: ['src/workers/compute-thread.ts'],
  outdir: '.threads',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  // What is imported only when it is asked for lies in a file of its own, and so do the packages it needs.
  splitting: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  jsx: 'automatic',
  logLevel: 'warning',
})
