import { z } from 'zod'
import {
  toAccountId,
  toBayId,
  toBottleId,
  toCustomerId,
  toJobId,
  toMessageId,
  toOperationId,
  toPersonId,
  toProductId,
  toVehicleId,
} from './ids'
import { isLocalDay, type LocalDay, localDayOrThrow } from './time'

/** Pieces of what actions take. */

/** Ids are made by the shop; longer ones are nobody’s. */
export const id = z.string().min(1).max(80)
export const aJob = id.transform(toJobId)
export const aVehicle = id.transform(toVehicleId)
export const aCustomer = id.transform(toCustomerId)
export const anOperation = id.transform(toOperationId)
export const aPerson = id.transform(toPersonId)
export const aBay = id.transform(toBayId)
export const aProduct = id.transform(toProductId)
export const aBottle = id.transform(toBottleId)
export const anAccount = id.transform(toAccountId)
export const aMessage = id.transform(toMessageId)

/** A position in a list of versions. */
export const version = z.int().min(0).max(1_000_000_000)

export const day = (message: string) =>
  z
    .string()
    .max(10, message)
    .refine(isLocalDay, message)
    .transform((text): LocalDay => localDayOrThrow(text))

export const nothing = z.null()
