import type { PlannedOperation } from '../offer'
import { stepCode } from '../offer'
import type { PadSize, StoreKey, Takes } from '../stock'
import type { Panel } from '../vehicle'
import type { PlannedStep } from '../wash'
import { towelsPlanned } from './coat-sections'
import type { LiquidHere } from './liquids'
import { SECTIONS_PER_PAD } from './pace'
import type { MachineRecipe, PanelTask } from './worklist'

/** What a step takes of liquids, pads, towels and tape, by its recipe and its sections. */

/** A roll is laid along seams and edges: so many metres for a square metre that is polished, fewer where only trim is taped (mem). */
const TAPE_M_PER_M2 = { mask: 3, tape: 1 }
/** Spent compound is wiped off a panel with a fresh face; a towel has eight (mem: four panels). */
const PANELS_PER_TOWEL = 4
/** Drying and looking into shuts after a wash (mem). */
const WASH_TOWELS = 4

export type StepAtHand = {
  operation: Pick<PlannedOperation, 'kind' | 'title'>
  tasks: readonly PanelTask[]
  recipes: readonly MachineRecipe[]
  liquids: readonly LiquidHere[]
  panels: readonly Panel[]
  wash: readonly PlannedStep[]
}

/** What the wash pours of each product, ml, as it was mixed for this car. */
function poured(wash: readonly PlannedStep[]): { key: StoreKey; amount: number }[] {
  return wash.flatMap(({ mix }) => {
    if (!mix || mix.kind === 'unmixable') return []
    const amount = mix.kind === 'pour' ? mix.pour.productMl : mix.ml
    return amount === undefined ? [] : [{ key: mix.product.kind, amount }]
  })
}

/** One pad of each kind and width to begin with, and a fresh one whenever it is hot and loaded. */
function padsFor({ tasks, recipes }: Pick<StepAtHand, 'tasks' | 'recipes'>): Takes['pads'] {
  const sections = new Map<string, PadSize & { sections: number }>()
  for (const { pad, padMm: mm, panels } of recipes) {
    const key = `${pad} ${mm}`
    const own = tasks
      .filter(({ panel }) => panels.includes(panel))
      .reduce((sum, { sections: each }) => sum + each, 0)
    sections.set(key, { pad, mm, sections: (sections.get(key)?.sections ?? 0) + own })
  }
  return [...sections.values()].map(({ pad, mm, sections: all }) => ({
    pad,
    mm,
    pieces: Math.max(1, Math.ceil(all / SECTIONS_PER_PAD)),
  }))
}

function summed(amounts: readonly { key: StoreKey; amount: number }[]): Takes['stores'] {
  const all = new Map<StoreKey, number>()
  for (const { key, amount } of amounts) all.set(key, (all.get(key) ?? 0) + amount)
  return [...all].map(([key, amount]) => ({ key, amount: Math.round(amount * 10) / 10 }))
}

export function takesOf(step: StepAtHand): Takes {
  const { operation, tasks, recipes, liquids, panels, wash } = step
  const code = stepCode(operation.title)
  const areaM2 = panels.reduce((sum, panel) => sum + panel.areaM2, 0)
  const tape = code === 'mask' || code === 'tape' ? TAPE_M_PER_M2[code] * areaM2 : 0
  const washes = code === 'wash' || code === 'rinseless-wash'
  const stores = summed([
    ...(washes ? poured(wash) : []),
    ...liquids.flatMap(({ kind, ml }) => (ml === undefined ? [] : [{ key: kind, amount: ml }])),
    ...(tape > 0 ? [{ key: 'tape' as const, amount: tape }] : []),
  ])
  const towels =
    operation.kind === 'layer'
      ? towelsPlanned(tasks)
      : washes
        ? WASH_TOWELS
        : recipes.length > 0 || operation.kind === 'wipe'
          ? Math.ceil(tasks.length / PANELS_PER_TOWEL)
          : 0
  return { stores, pads: padsFor({ tasks, recipes }), towels }
}
