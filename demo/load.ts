import { now } from '@/server/clock'
import { databaseFile } from '@/server/data-folder'
import { openDatabase } from '@/server/db'
import { loadDemo } from './generate'

const db = await openDatabase(databaseFile())
const loaded = await loadDemo(db, now(), { past: !process.argv.includes('--without-past') })
await db.destroy()
console.log(
  loaded ? 'The demo shop is loaded.' : 'There are jobs already; the demo shop was not loaded again.',
)
