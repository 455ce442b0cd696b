/** The chances a promise may be made with: the shop chooses one. */
export const SURE_MARKS = [0.5, 0.7, 0.8, 0.9, 0.95] as const
export type SureMark = (typeof SURE_MARKS)[number]

/** Where a shop has not chosen: it keeps its word eight times in ten (mem). */
export const FIRST_SURE_MARK: SureMark = 0.8
