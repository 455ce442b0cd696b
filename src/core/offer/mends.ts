import type { Mends } from '../survey'
import type { ExtraKey } from './extras'
import type { JobPlan } from './job-plan'
import type { Trade, Vendor } from './vendor'

/** What was bought beside the package: extras, and the crafts of those who are called in. */
export type Bought = { extras: readonly ExtraKey[]; trades: readonly Trade[] }

/** Which extra or craft puts a thing right, as far as it goes (common practice). */
const MENDED_BY: Partial<Record<Parameters<Mends>[0], readonly (ExtraKey | Trade)[]>> = {
  chips: ['touch-up', 'paint'],
  dents: ['dents', 'paint'],
  'clear-failure': ['paint'],
  kerbed: ['wheels'],
  corroded: ['wheels'],
  'glass-chip': ['glass'],
  'glass-crack': ['glass'],
  'glass-scratches': ['glass-polish'],
  'glass-spots': ['glass-polish'],
  cloudy: ['headlamps'],
  torn: ['upholstery'],
  stained: ['interior'],
  odour: ['interior'],
  faded: ['trim'],
  tarnished: ['chrome'],
}

/** Comes off in any wash, as far as it comes off at all. */
const WASHED: readonly Parameters<Mends>[0][] = ['baked-dust', 'growth']

export function mendedBy({ extras, trades }: Bought): Mends {
  const bought = new Set<string>([...extras, ...trades])
  return (kind) => WASHED.includes(kind) || (MENDED_BY[kind] ?? []).some((key) => bought.has(key))
}

/** What an agreed plan has in it; vendors the shop no longer works with are passed over. */
export function boughtIn({ operations }: JobPlan, vendors: readonly Vendor[]): Bought {
  return {
    extras: operations.flatMap(({ extra }) => extra ?? []),
    trades: operations.flatMap(({ vendorId }) => vendors.find(({ id }) => id === vendorId)?.trade ?? []),
  }
}
