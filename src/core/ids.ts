import type { Brand } from './brand'

/** The ids of the shop's nouns, each a type of its own: nothing is asked of a vehicle by the id of a job. */

export type JobId = Brand<string, 'JobId'>
export type VehicleId = Brand<string, 'VehicleId'>
export type CustomerId = Brand<string, 'CustomerId'>
/** A step of a job, `wash` or `layer-2`: of its own job only. */
export type OperationId = Brand<string, 'OperationId'>
export type PersonId = Brand<string, 'PersonId'>
/** Where a car stands: a bay of the shop, or the yard outside. */
export type BayId = Brand<string, 'BayId'>
/** A product of the shop's catalogue, and a bottle of it on the shelf. */
export type ProductId = Brand<string, 'ProductId'>
export type BottleId = Brand<string, 'BottleId'>
/** A message to a customer, not what it says. */
export type MessageId = Brand<string, 'MessageId'>

/** Somebody who signs in. */
export type AccountId = Brand<string, 'AccountId'>

/** What a route, a form or a row gives as the id of a job. Whether there is such a job, only the shop knows. */
export const toJobId = (text: string) => text as JobId
export const toVehicleId = (text: string) => text as VehicleId
export const toCustomerId = (text: string) => text as CustomerId
export const toOperationId = (text: string) => text as OperationId
export const toPersonId = (text: string) => text as PersonId
export const toBayId = (text: string) => text as BayId
export const toProductId = (text: string) => text as ProductId
export const toBottleId = (text: string) => text as BottleId
export const toAccountId = (text: string) => text as AccountId
export const toMessageId = (text: string) => text as MessageId

/** Written where nobody knows who it was. */
export const UNKNOWN_PERSON = toPersonId('')
