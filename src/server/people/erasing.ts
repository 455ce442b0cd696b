import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { aCustomer, id } from '@/core/inputs'
import { PHOTO_CHOICES } from '@/core/people'
import { plateSchema } from '@/core/photo/plate'
import { defineWrite } from '../action/perform'
import { todayHere } from '../shop/today'
import { eraseCustomer, isExpected } from './erase'
import { blurPlates } from './plates'
import { dropPhotographs } from './retention'

/** What takes pictures from the disk as well: each gives those that nothing shows any more. */

/** More than anybody looks at. */
const MOST_MARKED = 2000

const NONE = new Map<string, never>()

/** Erases a customer; their name is typed once more, since it cannot be taken back. */
export const erasing = defineWrite({
  name: 'customers.erase',
  who: 'manage',
  // Whom it was about is not to stand in the journal either.
  hushed: true,
  input: z.strictObject({
    customerId: aCustomer,
    name: z.string().max(200),
    photos: z.enum(PHOTO_CHOICES),
    plates: z.boolean(),
    /** Where the plate is on photographs somebody looked at, where plates are blurred. */
    marked: z.array(z.strictObject({ photoId: id, plate: plateSchema })).max(MOST_MARKED),
  }),
  prepare: ({ db }, { customerId, photos, marked }) =>
    photos === 'blur' ? blurPlates(db, customerId, marked) : Promise.resolve(NONE),
  write: async ({ trx, at }, { customerId, name, photos, plates }, blurred) => {
    const known = await trx('customers').where({ id: customerId }).whereNull('erased_at').first('name')
    if (!known) return refuse('gone', ask('owner-gone'))
    if (known.name.trim() !== name.trim()) return refuse('input', ask('erase-name'), 'name')
    if (await isExpected(trx, customerId)) return refuse('rule', ask('erase-expected'))
    return done(await eraseCustomer(trx, customerId, { photos, plates, blurred }, at))
  },
})

export const droppingPhotographs = defineWrite({
  name: 'customers.drop-photographs',
  who: 'manage',
  input: z.null(),
  write: async ({ trx, at }) => {
    const today = await todayHere(trx, at)
    return done({ pictures: await dropPhotographs(trx, today, at) })
  },
})
