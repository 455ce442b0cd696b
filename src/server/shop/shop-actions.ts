'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { version } from '@/core/inputs'
import { identitySchema, washSetupInput } from '@/core/shop'
import { SCHOOLS } from '@/core/survey'
import { defineAction } from '../action/define'
import { CHANGED_MEANWHILE, saveIdentity, saveSchoolsAndWash } from './shop-store'

/** Keeps how the shop judges and washes. */
export const keepShop = defineAction({
  name: 'shop.keep-ways',
  who: 'desk',
  input: z.strictObject({ version, school: z.enum(SCHOOLS), wash: washSetupInput }),
  write: async ({ trx }, { version: readAt, ...changed }) => {
    if (!(await saveSchoolsAndWash(trx, readAt, changed))) return refuse('stale', CHANGED_MEANWHILE)
    return done({ version: readAt + 1 })
  },
})

/** Keeps the shop’s name, its address, and how it writes numbers, money, days and units. */
export const keepIdentity = defineAction({
  name: 'shop.keep-identity',
  who: 'desk',
  input: z.strictObject({ version, identity: identitySchema }),
  write: async ({ trx }, { version: readAt, identity }) => {
    if (!(await saveIdentity(trx, readAt, identity))) return refuse('stale', CHANGED_MEANWHILE)
    return done({ version: readAt + 1 })
  },
})
