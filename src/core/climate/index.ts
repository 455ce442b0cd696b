export { type BayAir, believed } from './bay-air'
export {
  type BayClimate,
  type ClimateError,
  DEW_MARGIN_C,
  type DewVerdict,
  dewPointC,
  dewVerdict,
} from './dew-point'
export { type Absurd, type Sensed, type SensorState, sensorState } from './sensor'
export { backWithin, type Reading, slopePerMinute } from './trend'
