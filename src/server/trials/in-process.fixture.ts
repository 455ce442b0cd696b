import type { Knex } from 'knex'
import { answerCaller } from '@/core/planning/caller'
import type { Instant } from '@/core/time'
import { CUSTOMER } from '../action/caller'
import { perform } from '../action/perform'
import { loadFloor } from '../floor/floor'
import { workOut } from '../planning/work-out'
import { EVERY_ACTION } from './every-action.fixture'
import type { Deed } from './filled-in.fixture'
import { DOER } from './staff-deeds.fixture'

/** What is worked out beside the pages is worked out here, on the shop itself, and the first plan is taken; nothing is backed up. */
export function worksOutHere(db: Knex): void {
  const ask = async (task: string, at: Instant, what: never) =>
    task === 'caller'
      ? answerCaller(await loadFloor(db, at), what)
      : /backup|back-up/.test(task)
        ? 1
        : workOut(db, at, what, () => true)
  Object.assign(globalThis, { fernYardDesk: { ask } })
}

/** Does a deed as whoever does such deeds. */
export function doDeed(
  db: Knex,
  at: Instant,
  { action }: Deed & { kind: 'action' },
  key: string,
  input: unknown,
) {
  const definition = EVERY_ACTION.get(action)!
  const caller = definition.who === 'customer' ? CUSTOMER : DOER
  return perform(db, definition, { key, input }, { caller, at })
}
