import type { ConditionBreach } from '@/core/coating'
import type { Region } from '@/core/region'
import { measured, percent, temperatureStep } from '../formats'

type Said = {
  [Rule in ConditionBreach['rule']]: (
    breach: Extract<ConditionBreach, { rule: Rule }>,
    region: Region,
  ) => string
}

const SAID: Said = {
  'air-too-cold': ({ airC, minC }, region) =>
    `Air ${measured(region, 'temperature', airC, 1)}; this product needs at least ${measured(region, 'temperature', minC)}. Warm the bay first.`,
  'air-too-warm': ({ airC, maxC }, region) =>
    `Air ${measured(region, 'temperature', airC, 1)}; this product allows up to ${measured(region, 'temperature', maxC)}. Shade or air the bay.`,
  'air-too-dry': ({ rhPercent, minPercent }, region) =>
    `Humidity ${percent(region, rhPercent)}; this product needs at least ${percent(region, minPercent)}. Wet the floor.`,
  'air-too-humid': ({ rhPercent, maxPercent }, region) =>
    `Humidity ${percent(region, rhPercent)}; this product allows up to ${percent(region, maxPercent)}. Run the dryer and wait.`,
  'panel-near-dew-point': ({ marginC, requiredC }, region) =>
    `The panel is only ${temperatureStep(region, marginC, 1)} above the dew point; ${temperatureStep(region, requiredC)} are needed. Warm the panel.`,
  'climate-not-measured': () => 'No usable reading of the bay. Measure again before coating.',
}

/** Why a bay is not fit for a coating, and what to do about it. Read by staff only. */
export function conditionText(region: Region, breach: ConditionBreach): string {
  const say = SAID[breach.rule] as (breach: ConditionBreach, region: Region) => string
  return say(breach, region)
}
