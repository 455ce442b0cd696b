import { pairUm } from './equipment'
import { MATERIALS, type Material } from './material'
import type { Handling, Method, MethodKey, Step } from './method'

/**
 * The methods a new shop begins with (common practice; figures of removal and haze are remembered, mem, until test spots
 * recalibrate them). A shop changes, copies and retires them.
 */

/**
 * A section that is worked until it is clear: set up with towels, lamp and cable (mem), drops spread at low speed
 * (mem), wiped and looked at under the lamp (mem), the pad cleaned after every second one (common practice).
 */
const WORKED: Handling = { changeOver: 2, spread: 0.5, wipeAndLook: 1, padCleaning: 0.5 }
/** What is spread and left to set is not wiped section by section, and one walks on without setting up (mem). */
const SPREAD: Handling = { changeOver: 0, spread: 0.2, wipeAndLook: 0, padCleaning: 0.2 }
/** A light polish over paint that needs no correction: one looks for haze and for nothing else (mem). */
const LIGHT: Handling = { changeOver: 0.5, spread: 0.3, wipeAndLook: 0.6, padCleaning: 0.3 }

const fixed = (passes: number) => ({ least: passes, most: passes })
const from = (least: number, most: number) => ({ least, most })

const PAINT: Material[] = ['clear', 'single-solid', 'single-metallic', 'gelcoat', 'painted-plastic']
const ANYTHING = [...MATERIALS]
const HARD: Material[] = ['clear', 'single-solid', 'gelcoat']

const ALL_IN_ONE: Step = {
  machine: 'long-throw',
  pad: 'foam-polish',
  liquid: 'all-in-one',
  role: 'single',
  dial: 4,
  removalPerPassUm: 0.26,
  passes: fixed(2),
  hazePoints: 0.5,
  sectionM: 0.9,
  padMm: 150,
  armMmPerSecond: 170,
  handling: SPREAD,
}
const LIGHT_POLISH: Step = {
  machine: 'short-throw',
  pad: 'foam-finish',
  liquid: 'finishing-polish',
  role: 'single',
  dial: 4,
  removalPerPassUm: 0.08,
  passes: fixed(3),
  hazePoints: 0.2,
  sectionM: 0.75,
  padMm: 150,
  armMmPerSecond: 80,
  handling: LIGHT,
}
const POLISH: Step = {
  machine: 'long-throw',
  pad: 'foam-polish',
  liquid: 'medium-polish',
  role: 'single',
  dial: 5,
  removalPerPassUm: pairUm('foam-polish', 'medium-polish'),
  passes: from(3, 5),
  hazePoints: 0.5,
  sectionM: 0.61,
  padMm: 125,
  armMmPerSecond: 60,
  handling: WORKED,
}
const CUT_AND_FINISH: Step = {
  ...POLISH,
  pad: 'foam-cut',
  removalPerPassUm: 0.22,
  passes: from(4, 6),
  hazePoints: 0.8,
}
/**
 * Four to six crosshatch passes are common practice; a section that has cooled stands two more (mem). An arm is taught to go 25
 * mm/s; two working days for a two-step (common practice) leave time for it to go twice as fast, and only the highest care takes it.
 */
const CUT: Step = {
  machine: 'forced-rotation',
  pad: 'microfibre',
  liquid: 'heavy-compound',
  role: 'cut',
  dial: 5,
  removalPerPassUm: pairUm('microfibre', 'heavy-compound'),
  passes: from(2, 8),
  hazePoints: 8,
  sectionM: 0.61,
  padMm: 125,
  armMmPerSecond: 50,
  handling: WORKED,
}
const WOOL_CUT: Step = {
  ...CUT,
  machine: 'rotary',
  pad: 'wool',
  dial: 3,
  removalPerPassUm: pairUm('wool', 'heavy-compound'),
  hazePoints: 12,
  // A rotary is led more slowly, so that it neither burns nor digs (mem).
  armMmPerSecond: 38,
}
const REFINE: Step = {
  machine: 'short-throw',
  pad: 'foam-finish',
  liquid: 'finishing-polish',
  role: 'refine',
  dial: 4,
  removalPerPassUm: 0.08,
  passes: fixed(4),
  hazePoints: 0.3,
  sectionM: 0.75,
  padMm: 125,
  armMmPerSecond: 75,
  handling: WORKED,
}
const FOAM_AFTER_WOOL: Step = {
  ...REFINE,
  machine: 'long-throw',
  pad: 'foam-polish',
  liquid: 'medium-polish',
  dial: 5,
  removalPerPassUm: pairUm('foam-polish', 'medium-polish'),
  passes: fixed(2),
  hazePoints: 0.5,
}
/** For heavily marked hard paint (common practice). It dulls what it levels; what follows clears that. */
const DISC: Step = {
  machine: 'short-throw',
  pad: 'disc-3000',
  liquid: 'water',
  role: 'cut',
  dial: 3,
  removalPerPassUm: pairUm('disc-3000', 'water'),
  passes: fixed(2),
  hazePoints: 20,
  sectionM: 0.61,
  padMm: 125,
  armMmPerSecond: 50,
  handling: WORKED,
}
const SMALL_POLISH: Step = {
  ...POLISH,
  machine: 'small',
  role: 'cut',
  dial: 4,
  removalPerPassUm: 0.16,
  passes: from(2, 4),
  sectionM: 0.3,
  padMm: 75,
}
const SMALL_FINISH: Step = { ...REFINE, machine: 'small', passes: fixed(3), sectionM: 0.3, padMm: 75 }
const BY_HAND: Step = {
  ...REFINE,
  machine: 'hand',
  pad: 'soft-puck',
  dial: 1,
  removalPerPassUm: 0.03,
  passes: fixed(3),
  hazePoints: 0.1,
  armMmPerSecond: 90,
}

const method = (
  key: MethodKey,
  steps: readonly Step[],
  clears: number,
  fit: readonly Material[] = PAINT,
): Method => ({ key, version: 1, name: '', steps, leavesProtection: false, clears, fit, retired: false })

/** Nothing at all is done to the panel. No shop can take it out of its list. */
export const LEAVE: Method = method('leave', [], 0, ANYTHING)

export const SEEDED_METHODS: readonly Method[] = [
  LEAVE,
  method('light-polish', [LIGHT_POLISH], 0),
  { ...method('all-in-one', [ALL_IN_ONE], 0, ANYTHING), leavesProtection: true },
  method('small-two-step', [SMALL_POLISH, SMALL_FINISH], 0.6, ['gloss-plastic']),
  method('one-step-polish', [POLISH], 0.55),
  method('one-step-cut', [CUT_AND_FINISH], 0.65),
  {
    ...method('cut-all-in-one', [CUT, { ...ALL_IN_ONE, role: 'refine' }], 0.85, HARD),
    leavesProtection: true,
  },
  method('two-step', [CUT, REFINE], 0.9, ['clear', 'single-solid', 'single-metallic', 'gelcoat']),
  method('two-step-hand', [CUT, REFINE, BY_HAND], 0.9, HARD),
  method('two-step-wool', [WOOL_CUT, FOAM_AFTER_WOOL, { ...REFINE, passes: fixed(5) }], 0.9, HARD),
  method(
    'disc-two-step',
    [DISC, { ...CUT, passes: from(3, 5) }, { ...REFINE, passes: fixed(5) }],
    0.95,
    HARD,
  ),
]

/** A method the app ships with. Throws on any other key: it is for what the app itself names. */
export function seededMethod(key: MethodKey): Method {
  const found = SEEDED_METHODS.find((each) => each.key === key)
  if (!found) throw new Error(`no method “${key}” ships with the app`)
  return found
}
