import type { Liquid } from '../correction'
import type { PlannedOperation } from '../offer'
import { type Supply, type SupplyKind, supplyFor, takesMl } from '../supply'
import type { Panel, PanelId } from '../vehicle'
import type { MachineRecipe } from './worklist'

/** What to have at hand for a step. */
export type LiquidHere = {
  kind: SupplyKind
  /** The name on the shop’s bottle; empty where it has given none. */
  name: string
  /** What the panels of the step take of it, where its sheet says so. */
  ml?: number
  /** What there is of it by the last count, ml; absent where nobody counts it. */
  leftMl?: number
  /** Its solvent dissolves the paint of some panel of the step. */
  bites?: true
}

const BOTTLE: Record<Exclude<Liquid, 'water'>, SupplyKind> = {
  'heavy-compound': 'compound',
  'medium-polish': 'polish',
  'finishing-polish': 'finishing-polish',
  'all-in-one': 'all-in-one',
}

type At = {
  recipes: readonly Pick<MachineRecipe, 'liquid' | 'panels'>[]
  panels: readonly Panel[]
  supplies: readonly Supply[]
  singleStage: readonly PanelId[]
  /** What is left of what is counted, ml. */
  left?: ReadonlyMap<SupplyKind, number>
}

/** The bottles of a step in the order in which they are needed; none for work that pours nothing of its own. */
export function liquidsAt(
  { kind, title, panels: own }: Pick<PlannedOperation, 'kind' | 'title' | 'panels'>,
  { recipes, panels, supplies, singleStage, left }: At,
): LiquidHere[] {
  const worked = new Map<SupplyKind, Set<PanelId>>()
  const pour = (bottle: SupplyKind, ids: readonly PanelId[]) =>
    worked.set(bottle, new Set([...(worked.get(bottle) ?? []), ...ids]))
  for (const { liquid, panels: ids } of recipes) if (liquid !== 'water') pour(BOTTLE[liquid], ids)
  if (kind === 'wipe' && typeof title === 'object' && title.code === 'wipe')
    pour('prep', own ?? panels.map(({ id }) => id))
  return [...worked].map(([bottle, ids]): LiquidHere => {
    const supply = supplyFor(supplies, bottle)
    const areaM2 = panels.reduce((sum, { id, areaM2: each }) => sum + (ids.has(id) ? each : 0), 0)
    const ml = takesMl(supply, areaM2)
    const bites = supply.solvent === 'strong' && singleStage.some((id) => ids.has(id))
    return {
      kind: bottle,
      name: supply.name,
      ...(ml === undefined ? {} : { ml }),
      ...(left?.has(bottle) ? { leftMl: left.get(bottle)! } : {}),
      ...(bites ? { bites: true as const } : {}),
    }
  })
}
