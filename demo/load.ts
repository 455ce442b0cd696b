import { now } from '@/server/clock'
import { openDatabase } from '@/server/db/connection'
import { databaseFile } from '@/server/db/data-folder'
import { becomeFernYard } from './fern-yard'
import { loadDemo } from './generate'

const has = (flag: string) => process.argv.includes(flag)

const db = await openDatabase(databaseFile())
// What a power cut takes of a demo is made again, so nothing waits for the disk.
await db.raw('PRAGMA synchronous = NORMAL')
if (has('--set-up-only')) {
  await becomeFernYard(db, now())
  console.log('The shop is set up as Fern Yard; it has no cars yet.')
} else {
  const loaded = await loadDemo(db, now(), { small: has('--small') })
  console.log(
    loaded ? 'The demo shop is loaded.' : 'There are jobs already; the demo shop was not loaded again.',
  )
}
await db.destroy()
