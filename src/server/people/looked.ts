import { createHash } from 'node:crypto'
import { z } from 'zod'
import { done } from '@/core/answer'
import type { CustomerId } from '@/core/ids'
import { aCustomer } from '@/core/inputs'
import { defineWrite, perform } from '../action/perform'
import { now } from '../clock'
import { writer } from '../db/connection'
import { faultFacts, log } from '../log'
import { callerNow } from '../staff/caller-now'

/** Who looked at how a customer is reached stands in the journal, once a day for each who did. */

const input = z.strictObject({ customerId: aCustomer })

export const lookingAtContact = defineWrite({
  name: 'customers.look',
  who: 'desk',
  input,
  write: async () => done(),
})

export const takingOut = defineWrite({
  name: 'customers.take-out',
  who: 'manage',
  input,
  write: async () => done(),
})

type Looking = typeof lookingAtContact

/** Notes it under the name of whoever is signed in; where nobody signs in there is nobody to name. What cannot be noted is shown all the same. */
export async function noteLook(customerId: CustomerId, what: Looking = lookingAtContact): Promise<void> {
  const caller = await callerNow()
  if (!caller.account) return
  const at = now()
  const key = createHash('sha256')
    .update([what.name, caller.account, customerId, at.slice(0, 10)].join(' '))
    .digest('hex')
  await perform(await writer(), what, { key, input: { customerId } }, { caller, at }).catch((error) =>
    log.error({ action: what.name, ...faultFacts(error) }),
  )
}
