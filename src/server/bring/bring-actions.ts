'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { defineAction, defineReadAction } from '../action/define'
import { compute } from '../compute/compute'
import { loadShop } from '../shop/shop-store'
import { dropList, takeBack, takeOver } from './bring-store'
import { listId } from './rows'

const GONE = ask('list-missing')

/** What a list that was set down would bring. */
export const checkList = defineReadAction({
  name: 'bring.check',
  who: 'manage',
  input: z.strictObject({ id: listId }),
  read: async (_, { id }) => {
    const found = await compute('bring', id)
    return found.rows === 0 ? refuse('gone', GONE) : done(found)
  },
})

/** Takes over a list that was set down, all of it or nothing. */
export const takeList = defineAction({
  name: 'bring.take',
  who: 'manage',
  input: z.strictObject({ id: listId, rows: z.int().min(1) }),
  write: async ({ trx, at }, { id, rows }) => {
    const list = await trx('imports').where({ id }).first()
    if (!list || list.taken_at) return refuse('gone', list ? ask('list-brought') : GONE)
    const [found] = await trx('import_rows').where({ import_id: id }).count({ rows: '*' })
    if (Number(found?.rows) !== rows) return refuse('stale', ask('list-incomplete'))
    const { language } = (await loadShop(trx)).setup.region
    return done(await takeOver(trx, id, { language, at }))
  },
})

/** Forgets a list that was set down and is not wanted. */
export const dropBroughtList = defineAction({
  name: 'bring.drop',
  who: 'manage',
  input: z.strictObject({ id: listId }),
  write: async ({ trx }, { id }) => {
    await dropList(trx, id)
    return done()
  },
})

/** Takes back all that a list brought and nobody has used since. */
export const undoList = defineAction({
  name: 'bring.undo',
  who: 'manage',
  input: z.strictObject({ id: listId }),
  write: async ({ trx, at }, { id }) => {
    const list = await trx('imports').where({ id }).whereNotNull('taken_at').first()
    if (!list) return refuse('gone', ask('list-gone'))
    if (list.undone_at) return refuse('gone', ask('list-taken-back'))
    return done(await takeBack(trx, id, at))
  },
})
