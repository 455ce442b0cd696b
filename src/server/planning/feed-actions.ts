'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { id } from '@/core/inputs'
import { everyone } from '@/core/shop'
import { defineAction } from '../action/define'
import { loadShop } from '../shop/shop-store'
import { FEED_KINDS, makeFeed, revokeFeed } from './feed-links'

/** Makes an address for one calendar of the shop; it is shown once. */
export const makeFeedAddress = defineAction({
  name: 'shop.make-feed',
  who: 'manage',
  secret: true,
  input: z.strictObject({ kind: z.enum(FEED_KINDS), of: id }),
  write: async ({ trx, at }, { kind, of }) => {
    const { setup } = await loadShop(trx)
    const known = { shop: [{ id: 'all' }], people: everyone(setup), bays: setup.places }[kind]
    if (!known.some((each) => each.id === of)) return refuse('gone', ask('no-record'))
    return done({ path: `/calendars/${await makeFeed(trx, { kind, of }, at)}` })
  },
})

export const revokeFeedAddress = defineAction({
  name: 'shop.revoke-feed',
  who: 'manage',
  input: z.strictObject({ hash: z.string().max(128) }),
  write: async ({ trx, at }, { hash }) => {
    await revokeFeed(trx, hash, at)
    return done()
  },
})
