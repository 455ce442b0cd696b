declare module 'psychrolib' {
  const psychrolib: {
    SI: number
    SetUnitSystem: (system: number) => void
    /** Dew point °C from dry bulb °C and relative humidity 0–1. */
    GetTDewPointFromRelHum: (dryBulbC: number, relativeHumidity: number) => number
  }
  export default psychrolib
}
