export {
  type BayClimate,
  type ClimateError,
  DEW_MARGIN_C,
  type DewVerdict,
  dewPointC,
  dewVerdict,
} from './dew-point'
