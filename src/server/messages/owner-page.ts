/** A page that a message leads to is good for so long, days (mem). */
export const PAGE_DAYS = 180

/** Stands in a message for the token of the page it leads to, until it is handed over and after. */
export const PAGE_TO_COME = '{page}'
