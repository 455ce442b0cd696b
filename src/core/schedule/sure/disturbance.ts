/** What an event comes to for those who have been told something. */

/** What comes late on paper: how many jobs, and by how many minutes together. */
export type Late = { jobs: number; minutes: number }

/** A promise that is broken is worth so much lateness, minutes: its customer has to be called (mem). */
export const WORTH_A_CALL = 240
/** And to tell one more customer another time (mem). */
const WORTH_TELLING = 120

/** Lateness, promises broken and others told another time, all as minutes of lateness. */
export const disturbance = ({ jobs, minutes }: Late, othersMoved: number): number =>
  minutes + WORTH_A_CALL * jobs + WORTH_TELLING * othersMoved
