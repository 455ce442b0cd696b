import type { Brand } from '../brand'
import { ok, type Result, refused } from '../result'

/** Total film build on the panel, µm. */
export type FilmUm = Brand<number, 'FilmUm'>

/** 1 mil is a thousandth of an inch: 25.4 µm exactly (NIST SP 811). */
export const UM_PER_MIL = 25.4

/** Beyond any filler; what a magnetic or eddy-current gauge for bodywork still shows (mem). */
export const GAUGE_MAX_UM = 5000

export type FilmError = { code: 'film-out-of-range'; valueUm: number; minUm: 0; maxUm: number }

/** Checks one reading, µm. Refuses what no gauge can show: negative, not a number, or beyond its range. */
export function filmUm(value: number): Result<FilmUm, FilmError> {
  return value >= 0 && value <= GAUGE_MAX_UM // false for NaN
    ? ok(value as FilmUm)
    : refused({ code: 'film-out-of-range', valueUm: value, minUm: 0, maxUm: GAUGE_MAX_UM })
}

export function umToMil(um: number): number {
  return um / UM_PER_MIL
}

export function milToUm(mil: number): number {
  return mil * UM_PER_MIL
}
