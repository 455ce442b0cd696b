/** How a vehicle lives: what it is kept for and what wears on it. */

export const PURPOSES = ['daily', 'show', 'sale', 'new', 'lease-end'] as const
export type Purpose = (typeof PURPOSES)[number]

export const STORAGES = ['unknown', 'garage', 'carport', 'street'] as const
export type Storage = (typeof STORAGES)[number]

export const WASHINGS = ['unknown', 'hand', 'touchless', 'brush'] as const
export type Washing = (typeof WASHINGS)[number]

export const TREATMENTS = ['wax', 'sealant', 'coating', 'film', 'respray', 'polish'] as const
export type Treatment = (typeof TREATMENTS)[number]

/** Something done to the paint before, as told; the year is text since customers say “about 2019”. */
export type EarlierTreatment = { kind: Treatment; what: string; year: string }
