/** Gloss in gloss units (GU): the specular reflection of a surface against that of polished black glass (ISO 2813). */

/** ISO 2813: the glass that reads 100 GU has this refractive index. */
export const BLACK_GLASS_INDEX = 1.567

/** Angle of the gloss meter used on paint, degrees (ISO 2813: 60° for most finishes). */
export const GLOSS_ANGLE = 60

/** The scale ends here on our instruments (mem). */
export const GLOSS_MAX_GU = 200

/**
 * Share 0–1 of unpolarised light that a surface of index `n` reflects at `angleDegrees` from the normal (Fresnel):
 * 4.91 % at 20°, 10.01 % at 60° and 61.91 % at 85° for black glass (ISO 2813).
 */
export function fresnelReflectance(n: number, angleDegrees: number): number {
  const angle = (angleDegrees * Math.PI) / 180
  const cosIn = Math.cos(angle)
  const cosOut = Math.sqrt(1 - (Math.sin(angle) / n) ** 2)
  const parallel = (n * cosIn - cosOut) / (n * cosIn + cosOut)
  const perpendicular = (cosIn - n * cosOut) / (cosIn + n * cosOut)
  return (parallel ** 2 + perpendicular ** 2) / 2
}

export function glossUnits(reflectance: number, angleDegrees = GLOSS_ANGLE): number {
  return (100 * reflectance) / fresnelReflectance(BLACK_GLASS_INDEX, angleDegrees)
}

export function reflectanceOf(gu: number, angleDegrees = GLOSS_ANGLE): number {
  return (gu / 100) * fresnelReflectance(BLACK_GLASS_INDEX, angleDegrees)
}

/** What a reading on clear coat means: 90–95 is tired, over 100 corrected; chalk reads 3–4 (common practice). */
export function glossWord(gu: number): string {
  if (gu < 10) return 'chalked'
  if (gu < 80) return 'dull'
  if (gu < 97) return 'tired'
  return gu <= 100 ? 'fair' : 'bright'
}
