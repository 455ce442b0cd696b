'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { version } from '@/core/inputs'
import { POLISHING_SCHOOLS } from '@/core/offer'
import { SHARING, SURE_MARKS, UNAGREED } from '@/core/planning'
import { refused } from '@/core/result'
import { identitySchema, inspectorSchema, washSetupInput } from '@/core/shop'
import { SCHOOLS } from '@/core/survey'
import { NO_PICTURE } from '@/text/en/logo'
import { defineAction } from '../action/define'
import { inDarkroom } from '../pictures/darkroom'
import { CHANGED_MEANWHILE, loadShop, saveIdentity, saveLogo, saveSchoolsAndWash } from './shop-store'

/** Keeps how the shop judges and washes. */
export const keepShop = defineAction({
  name: 'shop.keep-ways',
  who: 'manage',
  input: z.strictObject({
    version,
    school: z.enum(SCHOOLS),
    polishing: z.enum(POLISHING_SCHOOLS),
    sharing: z.enum(SHARING),
    unagreed: z.enum(UNAGREED),
    sure: z.literal(SURE_MARKS),
    inspector: inspectorSchema,
    wash: washSetupInput,
  }),
  write: async ({ trx }, { version: readAt, ...changed }) => {
    const { rule, manager } = changed.inspector
    const { people } = (await loadShop(trx)).setup
    if (rule === 'manager' && !people.some(({ id }) => id === manager))
      return refuse('input', ask('inspector-manager'), 'inspector.manager')
    if (!(await saveSchoolsAndWash(trx, readAt, changed))) return refuse('stale', CHANGED_MEANWHILE)
    return done({ version: readAt + 1 })
  },
})

/** Keeps the shop’s name, its address, and how it writes numbers, money, days and units. */
export const keepIdentity = defineAction({
  name: 'shop.keep-identity',
  who: 'manage',
  input: z.strictObject({ version, identity: identitySchema }),
  write: async ({ trx }, { version: readAt, identity }) => {
    if (!(await saveIdentity(trx, readAt, identity))) return refuse('stale', CHANGED_MEANWHILE)
    return done({ version: readAt + 1 })
  },
})

/** Keeps the picture at the head of the shop’s papers: a PNG as base64, or nothing to have none. */
export const keepLogo = defineAction({
  name: 'shop.keep-logo',
  who: 'manage',
  input: z.strictObject({ version, picture: z.string().max(1_000_000, ask('logo-too-large')) }),
  prepare: async (_, { picture }) =>
    picture ? ((await inDarkroom('logo', picture)) ?? refused('no-picture')) : undefined,
  write: async ({ trx }, { version: readAt }, logo) => {
    if (logo && !logo.ok) return refuse('input', NO_PICTURE, 'picture')
    if (!(await saveLogo(trx, readAt, logo?.value))) return refuse('stale', CHANGED_MEANWHILE)
    return done({ version: readAt + 1 })
  },
})
