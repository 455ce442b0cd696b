'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { toBayId } from '@/core/ids'
import { id, version } from '@/core/inputs'
import { devicesSchema } from '@/core/shop'
import { plusMinutes } from '@/core/time'
import { SPELL_KINDS } from '@/devices/climate-sensor'
import { defineAction } from '../action/define'
import { CHANGED_MEANWHILE, loadShop, saveDevices } from './shop-store'
import { addSpell, endSpell } from './spell-store'

/** Keeps which devices the shop has. */
export const keepDevices = defineAction({
  name: 'shop.keep-devices',
  who: 'manage',
  input: z.strictObject({ version, devices: devicesSchema }),
  write: async ({ trx }, { version: readAt, devices }) =>
    (await saveDevices(trx, readAt, devices))
      ? done({ version: readAt + 1 })
      : refuse('stale', CHANGED_MEANWHILE),
})

/** Lets the simulated sensors of a bay meet a spell of weather, or fail, from now on. */
export const beginSpell = defineAction({
  name: 'shop.begin-spell',
  who: 'manage',
  input: z.strictObject({
    bay: z.string().min(1, ask('bay')).max(80).transform(toBayId),
    kind: z.enum(SPELL_KINDS),
    minutes: z
      .int(ask('sensor-minutes'))
      .min(10, ask('sensor-ten-minutes'))
      .max(2880, ask('sensor-two-days')),
  }),
  write: async ({ trx, at: from }, { bay, kind, minutes }) => {
    if (!(await loadShop(trx)).setup.places.some((place) => place.id === bay))
      return refuse('input', ask('bay'), 'bay')
    if ((await loadShop(trx)).setup.devices.baySensors === 'none') return refuse('rule', ask('no-sensors'))
    await addSpell(trx, { bay, kind, from, until: plusMinutes(from, minutes) })
    return done()
  },
})

export const stopSpell = defineAction({
  name: 'shop.stop-spell',
  who: 'manage',
  input: z.strictObject({ id }),
  write: async ({ trx }, spell) => {
    await endSpell(trx, spell.id)
    return done()
  },
})
