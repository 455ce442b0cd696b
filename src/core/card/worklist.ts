import type { ProcessKey } from '../correction'
import { type Care, PROCESSES, type Step, stepMinutes, underCare } from '../correction'
import type { PlannedOperation } from '../offer'
import type { Panel } from '../vehicle'
import type { ProcessChange } from './state'

/** What one operation does to which panels: sections to tick, and how each is worked. */

export type PanelTask = { panel: string; sections: number; recipe?: string }

/** A recipe at the machine, in words: the same words for all panels that are worked alike. */
export type MachineRecipe = {
  id: string
  machine: string
  pad: string
  liquid: string
  passes: number
  sectionM: number
  armMmPerSecond: number
  speed: DialSpeed
  panels: string[]
}

/** Speeds by machine (common practice): spread slowly, work faster; a rotary never fast. */
export type DialSpeed = 'slow' | 'usual'
const SLOW_MACHINE = 'Rotary'

const ROLE: Partial<Record<PlannedOperation['kind'], Step['role']>> = {
  cut: 'cut',
  refine: 'refine',
  polish: 'single',
}

/** The process of each panel: as it was agreed, or as it was changed at the car since. */
export function processesNow(
  agreed: Readonly<Record<string, ProcessKey>>,
  changes: readonly ProcessChange[],
): Record<string, ProcessKey> {
  return { ...agreed, ...Object.fromEntries(changes.map(({ panel, process }) => [panel, process])) }
}

/** The panels of an operation in walking order, and the recipes they are worked by. Empty for work that has no panels. */
export function worklist(
  operation: Pick<PlannedOperation, 'kind' | 'panels'>,
  all: readonly Panel[],
  processes: Readonly<Record<string, ProcessKey>>,
  care: Care,
): { tasks: PanelTask[]; recipes: MachineRecipe[] } {
  const panels = operation.panels ? all.filter(({ id }) => operation.panels!.includes(id)) : all
  const role = ROLE[operation.kind]
  if (!role)
    return operation.kind === 'layer' || operation.kind === 'wipe'
      ? { tasks: panels.map((panel) => ({ panel: panel.id, sections: 1 })), recipes: [] }
      : { tasks: [], recipes: [] }
  const recipes = new Map<string, MachineRecipe>()
  const tasks = panels.flatMap((panel): PanelTask[] => {
    const process = PROCESSES.find(({ key }) => key === processes[panel.id])
    const steps = (process?.steps ?? []).filter((step) => step.role === role)
    if (steps.length === 0) return []
    const ids = steps.map((step) => addRecipe(recipes, step, care, panel.id))
    const sections = Math.max(1, Math.round(stepMinutes(steps[0]!, panel, care).sections))
    return [{ panel: panel.id, sections, recipe: ids.join(' ') }]
  })
  return { tasks, recipes: [...recipes.values()] }
}

function addRecipe(recipes: Map<string, MachineRecipe>, step: Step, care: Care, panel: string): string {
  const { machine, pad, liquid, passes, sectionM, armMmPerSecond } = underCare(step, care)
  const id = [machine, pad, liquid, passes, sectionM].join('/')
  const known = recipes.get(id)
  if (known) known.panels.push(panel)
  else
    recipes.set(id, {
      id,
      machine,
      pad,
      liquid,
      passes,
      sectionM,
      armMmPerSecond,
      speed: machine === SLOW_MACHINE ? 'slow' : 'usual',
      panels: [panel],
    })
  return id
}
