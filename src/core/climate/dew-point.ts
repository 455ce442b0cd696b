import { ok, type Result, refused } from '../result'

/** Magnus form over water, coefficients of Alduchov and Eskridge (1996), valid −40…50 °C. */
const MAGNUS_A = 17.625
const MAGNUS_B_C = 243.04

/** A panel must be at least this much warmer than the dew point before anything is applied (ISO 8502-4). */
export const DEW_MARGIN_C = 3

const TEMP_MIN_C = -40
const TEMP_MAX_C = 60

export type ClimateError =
  | { code: 'temperature-out-of-range'; tempC: number; minC: number; maxC: number }
  | { code: 'humidity-out-of-range'; rhPercent: number }

/** Air around the car: temperature °C, relative humidity %, and the temperature of the panel itself °C. */
export type BayClimate = { airC: number; rhPercent: number; panelC: number }

function checkTemperature(tempC: number): ClimateError | undefined {
  return tempC >= TEMP_MIN_C && tempC <= TEMP_MAX_C
    ? undefined
    : { code: 'temperature-out-of-range', tempC, minC: TEMP_MIN_C, maxC: TEMP_MAX_C }
}

/** Dew point °C of air at `tempC` °C and `rhPercent` % (0 excluded, 100 included). */
export function dewPointC(tempC: number, rhPercent: number): Result<number, ClimateError> {
  const wrong = checkTemperature(tempC)
  if (wrong) return refused(wrong)
  if (!(rhPercent > 0 && rhPercent <= 100)) return refused({ code: 'humidity-out-of-range', rhPercent })
  const gamma = Math.log(rhPercent / 100) + (MAGNUS_A * tempC) / (MAGNUS_B_C + tempC)
  return ok((MAGNUS_B_C * gamma) / (MAGNUS_A - gamma))
}

/** Whether a panel is far enough from the dew point. All temperatures and differences in °C. */
export type DewVerdict = { dewPointC: number; marginC: number; requiredMarginC: number; go: boolean }

/** ISO 8502-4: go only at a margin of 3 °C or more between panel and dew point. */
export function dewVerdict(climate: BayClimate): Result<DewVerdict, ClimateError> {
  const wrong = checkTemperature(climate.panelC)
  if (wrong) return refused(wrong)
  const dew = dewPointC(climate.airC, climate.rhPercent)
  if (!dew.ok) return dew
  const marginC = climate.panelC - dew.value
  return ok({ dewPointC: dew.value, marginC, requiredMarginC: DEW_MARGIN_C, go: marginC >= DEW_MARGIN_C })
}
