'use server'

import { randomUUID } from 'node:crypto'
import { z } from 'zod'
import { done, type Refusal, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { toJobId } from '@/core/ids'
import { aJob, day } from '@/core/inputs'
import { bringTime, type Hold } from '@/core/planning'
import { dayIn, instant, type LocalDay } from '@/core/time'
import { defineAction } from '../action/define'
import { compute } from '../compute/compute'
import { loadFloor } from '../floor/floor'
import { loadShop } from '../shop/shop-store'
import { callerTold, enquiryOf } from './caller-told'
import { addHold, freeHold, holdUntil } from './hold-store'

const whom = (what: string) => z.string().trim().min(1, what).max(120)

type Found = Refusal | { ok: true; hold: Hold }

/** When the last day lies that a slot can be held: on the day the car has to be here. */
function untilFault(until: LocalDay, today: LocalDay, bringDay: LocalDay): Refusal | undefined {
  if (until < today) return refuse('input', ask('past-day'), 'until')
  return until > bringDay ? refuse('input', ask('hold-too-long'), 'until') : undefined
}

/** Holds the slot a caller was told of, by name and telephone, until a day. The date is found again: it must still be the one that was said. */
export const holdSlot = defineAction({
  name: 'planning.hold-slot',
  who: 'desk',
  input: callerTold.extend({
    name: whom(ask('hold-name')),
    phone: whom(ask('hold-phone')),
    car: z
      .string()
      .trim()
      .max(120, ask('keep-under', { characters: 120 })),
    until: day(ask('hold-until')),
    /** When it could be fetched by what was said. */
    said: z
      .string()
      .max(40)
      .refine((text) => instant(text).ok, ask('a-date-and-time')),
  }),
  prepare: async ({ db, at }, { name, phone, car, until, said, ...told }): Promise<Found> => {
    const { setup } = await loadShop(db)
    const zone = setup.region.timezone
    const answer = await compute('caller', at, enquiryOf(told, zone))
    if (answer.kind !== 'promise' || answer.usual.collectAt !== said)
      return refuse('stale', ask('hold-moved'))
    const { usual } = answer
    const bringAt = bringTime(usual.operations)
    const wrong = untilFault(until, dayIn(zone, at), dayIn(zone, bringAt))
    if (wrong) return wrong
    const id = toJobId(`hold-${randomUUID()}`)
    return {
      ok: true,
      hold: {
        id,
        name,
        phone,
        car,
        shape: told.shape,
        state: told.state,
        packageKey: told.packageKey,
        packageName: setup.packages.find(({ key }) => key === told.packageKey)!.name,
        bringAt,
        collectAt: usual.collectAt,
        chance: usual.chances[0]!.chance,
        until,
        plan: usual.plan,
        placed: usual.operations.map((placed) => ({ ...placed, job: id })),
      },
    }
  },
  write: async ({ trx, at }, _, found) => {
    if (!found.ok) return found
    await addHold(trx, found.hold, at)
    return done({ id: found.hold.id })
  },
})

/** Frees a slot before its time. */
export const endHold = defineAction({
  name: 'planning.end-hold',
  who: 'desk',
  input: z.strictObject({ hold: aJob }),
  write: async ({ trx, at }, { hold }) =>
    (await freeHold(trx, hold, at)) ? done() : refuse('gone', ask('hold-gone')),
})

/** Keeps a slot until another day. */
export const keepHold = defineAction({
  name: 'planning.keep-hold',
  who: 'desk',
  input: z.strictObject({ hold: aJob, until: day(ask('hold-until')) }),
  write: async ({ trx, at }, { hold, until }) => {
    const { shop, holds } = await loadFloor(trx, at)
    const zone = shop.setup.region.timezone
    const known = holds.find(({ id }) => id === hold)
    if (!known) return refuse('gone', ask('hold-gone'))
    const wrong = untilFault(until, dayIn(zone, at), dayIn(zone, known.bringAt))
    if (wrong) return wrong
    return (await holdUntil(trx, hold, until)) ? done() : refuse('gone', ask('hold-gone'))
  },
})
