import type { PanelJudgement } from '../survey'
import { inspectedWeight } from '../survey'
import {
  type ChoiceSettings,
  type CorrectionPlan,
  correctionOf,
  openOf,
  optionsOf,
  type PanelOption,
} from './choose'
import { type FrontierPoint, frontierOf } from './frontier'
import type { MethodKey } from './method'
import { setUpMinutes } from './set-ups'

/** The frontier of one vehicle: its panels with the processes open to them, and the plan at any number of minutes. */

export type PanelWays = {
  judged: PanelJudgement
  /** Mildest first. A locked panel has one way only; where the process is the protection, no panel goes without. */
  open: PanelOption[]
  /** Every process the package reaches, allowed or not, mildest first. */
  all: PanelOption[]
  /** What is not allowed here, each with the rules it breaks. */
  forbidden: PanelOption[]
  locked: boolean
}

export type Locks = Readonly<Record<string, MethodKey>>

export type VehicleFrontier = {
  panels: PanelWays[]
  /**
   * Points of the vehicle's index won over how it came in, as its panels are weighed for its purpose, against whole minutes at the
   * machine.
   */
  points: FrontierPoint[]
  planAt: (minutes: number) => CorrectionPlan
}

/** The ways open to one panel. A lock on a process that is not allowed there holds nothing back and is ignored. */
function waysOf(judged: PanelJudgement, settings: ChoiceSettings, lock: MethodKey | undefined): PanelWays {
  const options = optionsOf(judged, settings)
  const unbroken = options.filter(({ broken }) => broken.length === 0)
  const open = openOf(options, settings)
  const held = unbroken.find(({ method }) => method.key === lock)
  return {
    judged,
    open: held ? [held] : open,
    all: options,
    forbidden: options.filter(({ broken }) => broken.length > 0),
    locked: held !== undefined,
  }
}

/**
 * Works out the frontier of a vehicle. Minutes of a panel are rounded up to whole ones, so that the plan is never
 * dearer than the point it stands for. Locked panels cost what they cost, whatever else is chosen.
 */
export function vehicleFrontier(
  judged: readonly PanelJudgement[],
  settings: ChoiceSettings,
  locks: Locks = {},
): VehicleFrontier {
  const panels = judged.map((panel) => waysOf(panel, settings, locks[panel.panel.id]))
  const weightOf = (panel: PanelJudgement) => inspectedWeight(panel) * (settings.weigh?.(panel.panel) ?? 1)
  const total = judged.reduce((sum, panel) => sum + weightOf(panel), 0)
  const minutesOf = (option: PanelOption) => Math.ceil(option.minutes)
  const needs = ({ method }: PanelOption) => setUpMinutes(method)
  const all = Object.assign({}, ...panels.flatMap(({ open }) => open.map(needs))) as Record<string, number>
  const anyway = Object.assign({}, ...panels.map(({ open }) => needs(open[0]!))) as Record<string, number>
  const sum = (minutes: readonly number[]) => minutes.reduce((total, each) => total + each, 0)
  // What a panel costs at least, and what that needs set up, is spent before anything is chosen.
  const base = sum(panels.map(({ open }) => minutesOf(open[0]!))) + sum(Object.values(anyway))
  const free =
    sum(panels.map(({ open }) => Math.max(...open.map(minutesOf)) - minutesOf(open[0]!))) +
    sum(Object.values(all)) -
    sum(Object.values(anyway))
  const frontier = frontierOf(
    panels.map(({ judged: panel, open }) => ({
      id: panel.panel.id,
      options: open.map((option) => ({
        minutes: minutesOf(option) - minutesOf(open[0]!),
        gain: total === 0 ? 0 : (weightOf(panel) * (option.indexAfter - option.indexBefore)) / total,
        setUps: Object.keys(needs(option)),
      })),
    })),
    free,
    all,
  )
  return {
    panels,
    points: frontier.points.map(({ minutes, gain }) => ({ minutes: minutes + base, gain })),
    planAt: (minutes) => {
      const choice = frontier.choiceAt(minutes - base)
      return correctionOf(
        panels.map(({ judged: panel, open, forbidden }) => ({
          judged: panel,
          option: open[choice[panel.panel.id]!]!,
          forbidden,
        })),
      )
    },
  }
}

/** The plan that gives every panel the process named for it; undefined where one of them is not allowed there. */
export function planAsChosen(
  judged: readonly PanelJudgement[],
  settings: ChoiceSettings,
  processes: Locks,
): CorrectionPlan | undefined {
  const frontier = vehicleFrontier(judged, settings, processes)
  if (frontier.panels.some(({ judged: { panel }, locked }) => processes[panel.id] !== undefined && !locked))
    return undefined
  return frontier.planAt(frontier.points[0]!.minutes)
}
