'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
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
    file: z.instanceof(File, { error: ask('history-file') }),
    owner: z.string().max(200, ask('keep-under', { characters: 200 })),
  }),
  prepare: async (_, { file }) => (file.size > MOST_BYTES ? undefined : file.text()),
  write: async ({ trx, at }, { owner }, text) => {
    if (text === undefined) return refuse('input', ask('history-too-large'), 'file')
    const brought = await bringHistory(trx, text, owner, at)
    return brought.kind === 'read' ? done({ vehicleId: brought.vehicleId }) : refuse('input', brought.message)
  },
})
