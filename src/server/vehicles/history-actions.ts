'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { defineAction } from '../action/define'
import { bringHistory } from './vehicle-history'

/** Larger files are no history of one vehicle, bytes. */
const MOST_BYTES = 5_000_000

/**
 * Reads the history `file` a new `owner` has brought. It comes as a file: as a text of its own, one as long as this would be
 * taken for an attack.
 */
export const readBrought = defineAction({
  name: 'vehicles.bring-history',
  who: 'desk',
  input: z.strictObject({
    file: z.instanceof(File, { error: 'Choose the history file that came with the car.' }),
    owner: z.string().max(200, 'Keep the name under 200 characters.'),
  }),
  prepare: async (_, { file }) => (file.size > MOST_BYTES ? undefined : file.text()),
  write: async ({ trx, at }, { owner }, text) => {
    if (text === undefined)
      return refuse('input', 'This file is too large for the history of one car. Choose another one.', 'file')
    const brought = await bringHistory(trx, text, owner, at)
    return brought.kind === 'read' ? done({ vehicleId: brought.vehicleId }) : refuse('input', brought.message)
  },
})
