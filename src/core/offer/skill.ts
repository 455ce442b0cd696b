export const SKILLS = ['prep', 'correct', 'coat'] as const
export type Skill = (typeof SKILLS)[number]

/** What only one outside vendor can do. */
export type VendorSkill = `vendor-${string}`

export const vendorSkill = (vendorId: string): VendorSkill => `vendor-${vendorId}`
