'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { LEAVE, type Method, methodIn, methodSchema, withRoles } from '@/core/correction'
import { version } from '@/core/inputs'
import { methodTitle } from '@/text/en/correction'
import { defineAction } from '../action/define'
import { CHANGED_MEANWHILE, loadShop, saveMethods } from './shop-store'

/** More than any shop works by. */
const MOST_METHODS = 30

const same = (a: Method, b: Method) => JSON.stringify(a) === JSON.stringify(b)

/** A method as it is kept: a new version where anything but its retirement has changed. Jobs agreed before keep what they agreed. */
function nextVersion(method: Method, before: Method | undefined): Method {
  if (!before) return { ...method, version: 1 }
  const changed = !same({ ...method, version: 0, retired: false }, { ...before, version: 0, retired: false })
  return { ...method, version: before.version + (changed ? 1 : 0) }
}

/** Keeps the methods as they stand on the screen, all or none. A fault leads to its method and field: `methods.2.name`. */
export const keepMethods = defineAction({
  name: 'shop.keep-methods',
  who: 'manage',
  input: z.strictObject({ version, methods: z.array(methodSchema).max(MOST_METHODS) }),
  write: async ({ trx }, { version: readAt, methods: typed }) => {
    const { setup } = await loadShop(trx)
    // Leaving a panel as it is can always be chosen, and is nobody’s to change.
    const methods = [LEAVE, ...typed.filter(({ key }) => key !== LEAVE.key).map(withRoles)]
    for (const [at, method] of typed.entries()) {
      const title = methodTitle(method)
      if (method.key === LEAVE.key) continue
      if (method.steps.length === 0) return refuse('input', ask('method-needs-a-step'), `methods.${at}.steps`)
      if (title.trim() === method.key) return refuse('input', ask('method-name'), `methods.${at}.name`)
      if (method.fit.length === 0) return refuse('input', ask('method-fit'), `methods.${at}.fit`)
      if (typed.some((other, index) => index < at && methodTitle(other).trim() === title.trim()))
        return refuse('input', ask('method-named-twice', { name: title }), `methods.${at}.name`)
      const using = method.retired
        ? setup.packages.find(({ strongest }) => strongest === method.key)
        : undefined
      if (using)
        return refuse('input', ask('method-in-package', { name: using.name }), `methods.${at}.retired`)
    }
    const missing = setup.packages.find(({ strongest }) => !methodIn(methods, strongest))
    if (missing) return refuse('input', ask('method-in-package', { name: missing.name }))
    const kept = methods.map((method) => nextVersion(method, methodIn(setup.methods, method.key)))
    if (!(await saveMethods(trx, readAt, kept))) return refuse('stale', CHANGED_MEANWHILE)
    return done({ version: readAt + 1, methods: kept })
  },
})
