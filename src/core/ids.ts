import type { Brand } from './brand'

/** The ids of the shop's nouns, each a type of its own: nothing is asked of a vehicle by the id of a job. */

export type JobId = Brand<string, 'JobId'>
export type VehicleId = Brand<string, 'VehicleId'>
export type CustomerId = Brand<string, 'CustomerId'>

/** What a route, a form or a row gives as the id of a job. Whether there is such a job, only the shop knows. */
export const toJobId = (text: string) => text as JobId
export const toVehicleId = (text: string) => text as VehicleId
export const toCustomerId = (text: string) => text as CustomerId
