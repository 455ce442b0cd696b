import type { z } from 'zod'
import { definitionOf } from '../action/define'
import type { ActionDefinition } from '../action/perform'
import { keepLife, keepLooks, takeLookBack } from '../aftercare/visit-actions'
import { handJobOver } from '../handover/going-actions'
import { crossPaymentOut, judgeItem, recordPayment } from '../handover/handover-actions'
import { removePhoto, restorePhoto } from '../photos/photo-actions'

/** What may be done at a car without a network, and is sent when it is back; by the name it has in the journal. */
const AT_THE_CAR = [
  crossPaymentOut,
  handJobOver,
  judgeItem,
  keepLife,
  keepLooks,
  recordPayment,
  removePhoto,
  restorePhoto,
  takeLookBack,
]

type Definition = ActionDefinition<z.ZodType, unknown, unknown>

/** The action of a name; undefined where it may not wait on a tablet. */
export function queueable(name: string): Definition | undefined {
  return AT_THE_CAR.map((action) => definitionOf(action)).find((definition) => definition?.name === name)
}
