import type { ClayGrade, Contamination } from './contamination'
import type { WashMethod, WashPlace } from './method'

/** Which decontamination comes first: two schools. */
export const WASH_SCHOOLS = ['iron-first', 'clay-first'] as const
export type WashSchool = (typeof WASH_SCHOOLS)[number]

/** What a step of the wash looks at before it is taken. */
export type WashContext = {
  contamination: Contamination
  place: WashPlace
  school: WashSchool
  softTop: boolean
  /** Wheels with brake dust baked on, which an acid cleaner may be needed for. */
  bakedWheels: boolean
  method: WashMethod
  clay: { start: ClayGrade; upTo: ClayGrade }
}
