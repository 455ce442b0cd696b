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
