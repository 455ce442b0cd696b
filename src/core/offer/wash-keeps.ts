/** A washed car gathers dust: correction begins within a day of the wash, else it is washed again (common practice). */
export const WASH_KEEPS_MINUTES = 24 * 60
