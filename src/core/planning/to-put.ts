import type { MethodKey } from '../correction'
import type { JobId } from '../ids'

/** A method that was changed at the car, with the words of whoever did. */
export type MethodChange = { panel: string; process: MethodKey; reason: string }

/** What waits to be put to a customer: methods changed at the car, and marks of a second inspection. */
export type ToPut = { jobId: JobId; plate: string; methods: MethodChange[]; marks: number }
