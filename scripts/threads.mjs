// Bundles the entry points of the server's own threads and processes, into `.threads` or the folder named: Next builds what answers pages, and knows nothing of them.
import { rmSync } from 'node:fs'
import path from 'node:path'
import { build } from 'esbuild'

const ROOT = path.resolve(import.meta.dirname, '..')

const outdir = process.argv[2] ?? '.threads'

rmSync(path.join(ROOT, outdir), { recursive: true, force: true })
await build({
  absWorkingDir: ROOT,
  entryPoints: ['src/workers/compute-thread.ts', 'src/workers/darkroom.ts'],
  outdir,
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
