import { readFileSync } from 'node:fs'
import { answerCaller, type Enquiry } from '@/core/planning/caller'
import { instantOrThrow } from '@/core/time'
import { CUSTOMER, OPEN_SHOP } from '../action/caller'
import { perform } from '../action/perform'
import { TASKS } from '../compute/tasks'
import { connect } from '../db/connection'
import { loadFloor } from '../floor/floor'
import { workOut } from '../planning/work-out'
import { receiveBatch } from '../queue/receive'
import { type Definition, EVERY_ACTION } from './every-action.fixture'
import { type Deed, filledIn, type Said } from './filled-in.fixture'
import { stateOfShop } from './shop-state.fixture'
import { DOER } from './staff-deeds.fixture'

/**
 * A process that does one deed after the other and is killed, as by a power cut, right before its n-th statement on the database; before
 * the commits among them, too; before none where it is 0. What it has been answered it says, a line each. It is told what an earlier
 * process was answered, and looks at the shop after each deed where it is asked to.
 *
 * `node kill-actions.mjs fern-yard.db 2027-01-13T10:20:00Z deeds.json 25`
 */

/** The file that a process reads. */
export type Task = { deeds: readonly Deed[]; said: readonly Said[]; looks: boolean }

const [file, at, taskFile, nth] = process.argv.slice(2) as [string, string, string, string]
/** Looks at the shop, and works plans out, over a connection of its own. */
const looker = connect(file, { readOnly: true })
const now = instantOrThrow(at)
const db = connect(file)
let statements = 0
db.on('query', () => {
  statements += 1
  if (statements === Number(nth)) process.kill(process.pid, 'SIGKILL')
})
// What is worked out beside the pages is worked out here, and the first plan is taken: twice the same, whatever the machine.
const desk: Partial<Record<keyof typeof TASKS, unknown>> = {
  ...TASKS,
  'work-out': (moment: typeof now, what: Parameters<typeof workOut>[2]) =>
    workOut(looker, moment, what, () => true),
  // Files beside the database: what a backup holds is tried by its own tests.
  'back-up': async () => 1,
  'rehearse-backup': async () => at,
  caller: async (moment: typeof now, told: Enquiry) => answerCaller(await loadFloor(looker, moment), told),
}
Object.assign(globalThis, {
  fernYardDesk: {
    ask: async (task: keyof typeof TASKS, ...args: unknown[]) =>
      (desk[task] as (...given: unknown[]) => unknown)(...args),
  },
})

const doIt = (definition: Definition, key: string, input: unknown) =>
  perform(
    db,
    definition,
    { key, input },
    {
      caller: definition.who === 'customer' ? CUSTOMER : DOER,
      at: now,
    },
  )

const task = JSON.parse(readFileSync(taskFile, 'utf8')) as Task
const said: Said[] = [...task.said]
for (const deed of task.deeds) {
  const answer =
    deed.kind === 'batch'
      ? await receiveBatch(db, deed.batch, now, OPEN_SHOP)
      : await doIt(EVERY_ACTION.get(deed.action)!, deed.key, filledIn(deed.input, said))
  said.push({ key: deed.key, answer })
  const state = task.looks ? { state: await stateOfShop(looker), statements } : {}
  console.log(JSON.stringify({ key: deed.key, answer, ...state }))
}
await db.destroy()
await looker.destroy()
