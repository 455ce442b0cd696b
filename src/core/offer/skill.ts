export const SKILLS = ['prep', 'correct', 'coat'] as const
export type Skill = (typeof SKILLS)[number]

/** What only one outside vendor can do. */
export type VendorSkill = `vendor-${string}`

/** Whether somebody planned is a subcontractor, or a hand of theirs. */
export const isSubcontractor = (person: string): boolean => person.startsWith(vendorSkill(''))

export const vendorSkill = (vendorId: string): VendorSkill => `vendor-${vendorId}`
