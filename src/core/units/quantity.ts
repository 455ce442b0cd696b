/** 1 US gallon, litres, exactly (NIST Handbook 44). */
export const LITRES_PER_US_GALLON = 3.785411784

/** 1 US fluid ounce, millilitres: a gallon is 128 of them (NIST Handbook 44). */
export const ML_PER_US_FLUID_OUNCE = 29.5735295625

export const usGallonsToLitres = (gallons: number) => gallons * LITRES_PER_US_GALLON
export const litresToUsGallons = (litres: number) => litres / LITRES_PER_US_GALLON
export const fluidOuncesToMl = (ounces: number) => ounces * ML_PER_US_FLUID_OUNCE
export const mlToFluidOunces = (ml: number) => ml / ML_PER_US_FLUID_OUNCE

/** Exact by definition of the Fahrenheit scale (NIST SP 811). */
export const celsiusToFahrenheit = (tempC: number) => (tempC * 9) / 5 + 32
export const fahrenheitToCelsius = (tempF: number) => ((tempF - 32) * 5) / 9

/** 1 international mile, kilometres, exactly (NIST SP 811). */
export const KM_PER_MILE = 1.609344

/** 1 square foot, square metres: a foot is 0.3048 m exactly (NIST SP 811). */
export const M2_PER_SQUARE_FOOT = 0.09290304

/** 1 foot, metres, exactly (NIST SP 811). */
export const M_PER_FOOT = 0.3048

export const feetToMetres = (feet: number) => feet * M_PER_FOOT
export const metresToFeet = (metres: number) => metres / M_PER_FOOT
export const milesToKm = (miles: number) => miles * KM_PER_MILE
export const kmToMiles = (km: number) => km / KM_PER_MILE
export const squareFeetToM2 = (squareFeet: number) => squareFeet * M2_PER_SQUARE_FOOT
export const m2ToSquareFeet = (m2: number) => m2 / M2_PER_SQUARE_FOOT
