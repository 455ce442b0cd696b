import {
  celsiusToFahrenheit,
  fahrenheitToCelsius,
  feetToMetres,
  fluidOuncesToMl,
  kmToMiles,
  litresToUsGallons,
  m2ToSquareFeet,
  metresToFeet,
  milesToKm,
  milToUm,
  mlToFluidOunces,
  squareFeetToM2,
  umToMil,
  usGallonsToLitres,
} from '../units'
import type { Quantity, Units } from './region'

type Conversion = { shown: (stored: number) => number; stored: (shown: number) => number }
const SAME: Conversion = { shown: (value) => value, stored: (value) => value }

/** What is stored and what is shown, by kind and unit. Stored are µm, ml, litres, °C, km, m² and m. */
const CONVERSIONS: { [Kind in Quantity]: Record<Units[Kind], Conversion> } = {
  depth: { um: SAME, mil: { shown: umToMil, stored: milToUm } },
  volume: { ml: SAME, 'fl-oz': { shown: mlToFluidOunces, stored: fluidOuncesToMl } },
  water: { l: SAME, gal: { shown: litresToUsGallons, stored: usGallonsToLitres } },
  temperature: { c: SAME, f: { shown: celsiusToFahrenheit, stored: fahrenheitToCelsius } },
  distance: { km: SAME, mi: { shown: kmToMiles, stored: milesToKm } },
  area: { m2: SAME, 'sq-ft': { shown: m2ToSquareFeet, stored: squareFeetToM2 } },
  length: { m: SAME, ft: { shown: metresToFeet, stored: feetToMetres } },
}

const conversionOf = (units: Units, quantity: Quantity): Conversion =>
  (CONVERSIONS[quantity] as Record<string, Conversion>)[units[quantity]]!

/** A stored value in the unit the shop reads it in. */
export const shown = (units: Units, quantity: Quantity, value: number) =>
  conversionOf(units, quantity).shown(value)

/** What was typed in the shop’s unit, as it is stored. */
export const stored = (units: Units, quantity: Quantity, value: number) =>
  conversionOf(units, quantity).stored(value)
