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
  /** It goes to the polisher or under a coating: old wax and sealant come off with the wash. */
  strips: boolean
  /** A coating that stays lies on it: nothing is dragged over it as a matter of course. */
  coated: boolean
  /** Some of its paint was sprayed only weeks ago. */
  fresh: boolean
  clay: { start: ClayGrade; upTo: ClayGrade }
}
