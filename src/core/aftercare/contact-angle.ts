import { ok, type Result, refused } from '../result'

/** A drop larger than this is flattened by its own weight, and the cap is no longer part of a sphere, mm (mem). */
export const DROP_MOST_MM = 3

export type AngleError = { code: 'drop-not-positive' | 'drop-not-a-number' }

/** Degrees, with the standard uncertainty that reading height and base off a photograph brings. */
export type ContactAngle = { degrees: number; uncertaintyDegrees: number }

/** How surely an edge is found on a photograph, of the base width (mem). */
const EDGE_SHARE = 0.02

/**
 * Contact angle of a small drop from the height h and the base width d of its outline, in any one unit:
 * 2·atan(2h/d), the angle of a spherical cap at its rim. A hemisphere (h = d/2) has 90°.
 */
export function contactAngle(height: number, base: number): Result<ContactAngle, AngleError> {
  if (!Number.isFinite(height) || !Number.isFinite(base)) return refused({ code: 'drop-not-a-number' })
  if (height <= 0 || base <= 0) return refused({ code: 'drop-not-positive' })
  const ratio = (2 * height) / base
  // d(2·atan r) = 2/(1 + r²) dr, where both edges of the base and the top are read.
  const ratioError = EDGE_SHARE * Math.hypot(2, ratio)
  return ok({
    degrees: (2 * Math.atan(ratio) * 180) / Math.PI,
    uncertaintyDegrees: ((2 * ratioError) / (1 + ratio ** 2)) * (180 / Math.PI),
  })
}
