'use server'

import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { nothing } from '@/core/inputs'
import { defineAction } from '../action/define'
import { now } from '../clock'
import { compute } from '../compute/compute'
import { faultFacts, log } from '../log'
import { loadShop } from '../shop/shop-store'

/** Makes a backup at once, beside the pages. */
export const backUpNow = defineAction({
  name: 'shop.back-up',
  who: 'manage',
  input: nothing,
  prepare: async ({ db }) => {
    const { setup } = await loadShop(db)
    return compute('back-up', setup.region.timezone, now()).catch((error: unknown) => {
      log.error({ backup: 'not made', ...faultFacts(error) })
      return undefined
    })
  },
  write: async (_, __, bytes) =>
    bytes === undefined ? refuse('rule', ask('backup-not-made')) : done({ bytes }),
})

/** Tries whether the latest backup could be restored. Nothing of the shop is touched. */
export const rehearseBackupNow = defineAction({
  name: 'shop.rehearse-backup',
  who: 'manage',
  input: nothing,
  prepare: () =>
    compute('rehearse-backup').then(
      (madeAt) => ({ madeAt, isBroken: false }),
      (error: unknown) => {
        log.error({ backup: 'not restored', ...faultFacts(error) })
        return { madeAt: undefined, isBroken: true }
      },
    ),
  write: async (_, __, { madeAt, isBroken }) => {
    if (isBroken) return refuse('rule', ask('backup-broken'))
    return madeAt ? done({ madeAt }) : refuse('rule', ask('no-backup'))
  },
})
