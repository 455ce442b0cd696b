import {
  type Care,
  type Liquid,
  type Machine,
  type Method,
  methodIn,
  type Pad,
  SEEDED_METHODS,
  stepMinutes,
  underCare,
  type Worked,
  type WorkedStep,
  worked,
} from '../correction'
import { machineRoles, type PlannedOperation } from '../offer'
import type { Panel } from '../vehicle'
import { coatSectionsOf } from './coat-sections'
import type { ProcessChange } from './state'

/** What one operation does to which panels: sections to tick, and how each is worked. */

export type PanelTask = { panel: string; sections: number; recipe?: string }

/** A recipe at the machine, in words: the same words for all panels that are worked alike. */
export type MachineRecipe = {
  id: string
  machine: Machine
  pad: Pad
  padMm: number
  liquid: Liquid
  dial: number
  passes: number
  sectionM: number
  armMmPerSecond: number
  panels: string[]
}

/** What is done to each panel: as it was agreed, or by the method it was changed to at the car since. */
export function workNow(
  agreed: Readonly<Record<string, Worked>>,
  changes: readonly ProcessChange[],
  methods: readonly Method[] = SEEDED_METHODS,
): Record<string, Worked> {
  const changed = changes.flatMap(({ panel, process }): [string, Worked][] => {
    const method = methodIn(methods, process) ?? methodIn(SEEDED_METHODS, process)
    return method ? [[panel, worked(method)]] : []
  })
  return { ...agreed, ...Object.fromEntries(changed) }
}

/** The panels of an operation in walking order, and the recipes they are worked by. Empty for work that has no panels. */
export function worklist(
  operation: Pick<PlannedOperation, 'kind' | 'panels'> & Partial<Pick<PlannedOperation, 'title'>>,
  all: readonly Panel[],
  work: Readonly<Record<string, Worked>>,
  care: Care,
  /** Edge of a section of the coat, m. */
  coatSectionM = 0.6,
): { tasks: PanelTask[]; recipes: MachineRecipe[] } {
  const panels = operation.panels ? all.filter(({ id }) => operation.panels!.includes(id)) : all
  const roles = machineRoles(operation)
  if (roles.length === 0)
    // An extra that names its panels is ticked there, where the photographs of the panel are.
    return operation.kind === 'layer' ||
      operation.kind === 'wipe' ||
      (operation.kind === 'extra' && operation.panels)
      ? {
          tasks: panels.map(({ id, areaM2 }) => ({
            panel: id,
            sections: operation.kind === 'layer' ? coatSectionsOf(areaM2, coatSectionM) : 1,
          })),
          recipes: [],
        }
      : { tasks: [], recipes: [] }
  const recipes = new Map<string, MachineRecipe>()
  const tasks = panels.flatMap((panel): PanelTask[] => {
    const steps = (work[panel.id]?.steps ?? []).filter((step) => roles.includes(step.role))
    if (steps.length === 0) return []
    const ids = steps.map((step) => addRecipe(recipes, step, care, panel.id))
    const sections = Math.max(1, Math.round(stepMinutes(steps[0]!, panel, care).sections))
    return [{ panel: panel.id, sections, recipe: ids.join(' ') }]
  })
  return { tasks, recipes: byTools([...recipes.values()]) }
}

/** Recipes of the same machine and pad stand together: nobody changes to and fro. */
function byTools(recipes: readonly MachineRecipe[]): MachineRecipe[] {
  const tools = ({ machine, pad }: MachineRecipe) => `${machine} ${pad}`
  const inOrder = [...new Set(recipes.map(tools))]
  return recipes.toSorted((a, b) => inOrder.indexOf(tools(a)) - inOrder.indexOf(tools(b)))
}

function addRecipe(recipes: Map<string, MachineRecipe>, step: WorkedStep, care: Care, panel: string): string {
  const { machine, pad, padMm, liquid, dial, passes, sectionM, armMmPerSecond } = underCare(step, care)
  const id = [machine, pad, liquid, passes, sectionM].join('/')
  const known = recipes.get(id)
  if (known) known.panels.push(panel)
  else
    recipes.set(id, {
      id,
      machine,
      pad,
      padMm,
      liquid,
      dial,
      passes,
      sectionM,
      armMmPerSecond,
      panels: [panel],
    })
  return id
}
