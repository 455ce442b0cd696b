import { execFileSync } from 'node:child_process'
import path from 'node:path'

/** Beside the build's own, which may be made meanwhile; within the packages, where those that are imported are found. */
const FOLDER = path.join('node_modules', '.threads-of-tests')

/** Bundles what computes beside the tests. */
export default function bundle() {
  execFileSync(process.execPath, [path.join('scripts', 'threads.mjs'), FOLDER], { stdio: 'inherit' })
  process.env.FERN_YARD_THREADS = FOLDER
}
