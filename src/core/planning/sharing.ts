/** By how many hands the work at the machine of one car may be done at a time. */
export const SHARING = ['one', 'two'] as const
export type Sharing = (typeof SHARING)[number]
