export {
  type FilmError,
  type FilmUm,
  filmUm,
  GAUGE_MAX_UM,
  milToUm,
  UM_PER_MIL,
  umToMil,
} from './film'
export {
  celsiusToFahrenheit,
  fahrenheitToCelsius,
  fluidOuncesToMl,
  LITRES_PER_US_GALLON,
  litresToUsGallons,
  ML_PER_US_FLUID_OUNCE,
  mlToFluidOunces,
  usGallonsToLitres,
} from './quantity'
