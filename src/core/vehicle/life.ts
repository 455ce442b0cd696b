/** How a vehicle lives: what it is kept for and what wears on it. */

export const PURPOSES = ['daily', 'show', 'sale', 'new', 'lease-end'] as const
export type Purpose = (typeof PURPOSES)[number]
export const PURPOSE: Record<Purpose, { name: string; means: string }> = {
  daily: { name: 'Daily use', means: 'Lasting and easy to wash.' },
  show: { name: 'Show', means: 'Everything the paint can safely give.' },
  sale: { name: 'About to be sold', means: 'The bare minimum that lifts the first impression.' },
  new: { name: 'Newly bought', means: 'New is not swirl-free: transport dust and dealer washing mark it.' },
  'lease-end': { name: 'End of lease', means: 'What the return inspection would charge for.' },
}

export const STORAGES = ['unknown', 'garage', 'carport', 'street'] as const
export type Storage = (typeof STORAGES)[number]
export const STORAGE_NAME: Record<Storage, string> = {
  unknown: 'Not asked',
  garage: 'Garage',
  carport: 'Carport',
  street: 'Street',
}

export const WASHINGS = ['unknown', 'hand', 'touchless', 'brush'] as const
export type Washing = (typeof WASHINGS)[number]
export const WASHING_NAME: Record<Washing, string> = {
  unknown: 'Not asked',
  hand: 'By hand',
  touchless: 'Touchless',
  brush: 'Brush wash',
}

export const TREATMENTS = ['wax', 'sealant', 'coating', 'film', 'respray', 'polish'] as const
export type Treatment = (typeof TREATMENTS)[number]
export const TREATMENT: Record<Treatment, { name: string; means: string }> = {
  wax: { name: 'Wax', means: 'Comes off with the decontamination.' },
  sealant: { name: 'Sealant', means: 'Comes off with the decontamination or a light polish.' },
  coating: { name: 'Coating', means: 'Must come off the way its maker says before a new one goes on.' },
  film: { name: 'Film', means: 'Nothing is cut under it; a coating goes over film, never under.' },
  respray: { name: 'Respray', means: 'Read that panel apart; let fresh paint gas out as its maker says.' },
  polish: {
    name: 'Machine polish',
    means: 'Paint is gone already. Enter it in the ledger if anybody knows how much.',
  },
}

/** Something done to the paint before, as told; the year is text since customers say “about 2019”. */
export type EarlierTreatment = { kind: Treatment; what: string; year: string }
