'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { version } from '@/core/inputs'
import { packageFaults, packageTemplateSchema } from '@/core/offer'
import { packageFaultText } from '@/text/en/coating'
import { defineAction } from '../action/define'
import { CHANGED_MEANWHILE, loadShop, savePackages } from './shop-store'

/** More than any shop sells. */
const MOST_PACKAGES = 60

/** Keeps the packages as they stand on the screen, all or none. A fault leads to its package and field: `2.name`. */
export const keepPackages = defineAction({
  name: 'shop.keep-packages',
  who: 'manage',
  input: z.strictObject({
    version,
    packages: z
      .array(packageTemplateSchema)
      .min(1, ask('one-package'))
      .max(MOST_PACKAGES, ask('packages-enough', { most: MOST_PACKAGES })),
  }),
  write: async ({ trx }, { version: readAt, packages }) => {
    const { setup, catalogue } = await loadShop(trx)
    const twice = packages.findIndex(
      ({ key, name }, at) =>
        packages.findIndex((other) => other.key === key || other.name.trim() === name.trim()) !== at,
    )
    if (twice >= 0)
      return refuse(
        'input',
        ask('package-named-twice', { name: packages[twice]!.name }),
        `packages.${twice}.name`,
      )
    for (const [at, template] of packages.entries()) {
      const [fault] = packageFaults(template, { catalogue, vendors: setup.vendors, methods: setup.methods })
      if (fault) return refuse('input', packageFaultText(fault), `packages.${at}.${fault.path}`)
    }
    if (!(await savePackages(trx, readAt, packages))) return refuse('stale', CHANGED_MEANWHILE)
    return done({ version: readAt + 1 })
  },
})
