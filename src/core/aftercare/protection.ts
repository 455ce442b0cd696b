import type { Look, Water } from './look'
import { FEELS, WATERS } from './look'

/** How a coating wears, from quick at first over nearly in a straight line to late and all at once: exponents of the curve (mem). */
export const WEAR_SHAPES = [0.8, 1.2, 2.2, 4] as const
/** A usual one: slow at first (mem). */
export const USUAL_WEAR = 2.2

/**
 * How much of a coating is left, as a share of how it behaved when it had cured: 1 then, ½ at the end of its life. A
 * Weibull curve; which one nobody knows beforehand. Every figure below is remembered from practice (mem).
 */
export function levelAt(ageMonths: number, lifeMonths: number, shape: number = USUAL_WEAR): number {
  return ageMonths <= 0 ? 1 : 2 ** -((ageMonths / lifeMonths) ** shape)
}

/** Below this a coating is said to have gone. */
export const GONE_LEVEL = 0.5

const logistic = (x: number) => 1 / (1 + Math.exp(-x))

/** Levels at which one word ends and the next begins, and how blurred that border is. */
const WATER_BORDERS = [0.78, 0.52, 0.28]
const WATER_BLUR = 0.08
const FEEL_BORDERS = [0.68, 0.4]
const FEEL_BLUR = 0.1
/** How often somebody ticks the wrong word. */
const LAPSE = 0.01

/** Chances of the words of a scale, the best first, at a level: an ordered logit with a share of lapses. */
function chances(level: number, borders: readonly number[], blur: number): number[] {
  const above = borders.map((border) => logistic((level - border) / blur))
  const words = [...above, 1].map((chance, at) => chance - (above[at - 1] ?? 0))
  return words.map((chance) => (1 - LAPSE) * chance + LAPSE / words.length)
}

/** Bare clear lets a drop stand at some 60°, a cured coating at about 110°; hands and eyes err by so many degrees (mem). */
const BARE_DEGREES = 60
const COATED_DEGREES = 110
const ANGLE_SD = 7
/** Gloss that is gone when the coating is, GU, and how far a meter and a dusty panel lead astray (mem). */
const GLOSS_WITH_COATING_GU = 8
const GLOSS_SD = 5

const normal = (x: number, mean: number, sd: number) => Math.exp(-0.5 * ((x - mean) / sd) ** 2) / sd

export const waterChances = (level: number): Record<Water, number> => {
  const all = chances(level, WATER_BORDERS, WATER_BLUR)
  return Object.fromEntries(WATERS.map((water, at) => [water, all[at]!])) as Record<Water, number>
}

/** How likely this look is where so much is left, whatever lies over it. */
function seenAt(level: number, look: Look): number {
  const water = chances(level, WATER_BORDERS, WATER_BLUR)[WATERS.indexOf(look.water)]!
  const feel = look.feel ? chances(level, FEEL_BORDERS, FEEL_BLUR)[FEELS.indexOf(look.feel)]! : 1
  const angle =
    look.angleDegrees === undefined
      ? 1
      : normal(look.angleDegrees, BARE_DEGREES + (COATED_DEGREES - BARE_DEGREES) * level, ANGLE_SD)
  const gloss =
    look.glossLossGu === undefined
      ? 1
      : normal(look.glossLossGu, GLOSS_WITH_COATING_GU * (1 - level), GLOSS_SD)
  return water * feel * angle * gloss
}

/** Under dirt a coating behaves like one with so much less (mem), and a panel that was only washed is so as often as not. */
const DIRT_SHARE = 0.5
const DIRTY_CHANCE = 0.5
/** A topper lasts 3 to 6 months (common practice), and as long as it does one may well be looking at it alone. */
const TOPPER_LIFE_MONTHS = 4
const TOPPER_HIDES = 0.7

/**
 * Likelihood of a look where `level` of the coating is left. What was not decontaminated may only be dirty, and a topper applied
 * not long ago answers for whatever is under it: both make a look say less.
 */
export function likelihood(level: number, look: Look): number {
  const clean = seenAt(level, look)
  const own = look.cleaned
    ? clean
    : (1 - DIRTY_CHANCE) * clean + DIRTY_CHANCE * seenAt(level * DIRT_SHARE, look)
  if (look.topperMonths === undefined) return own
  const topper = levelAt(look.topperMonths, TOPPER_LIFE_MONTHS)
  const hides = TOPPER_HIDES * topper
  return (1 - hides) * own + hides * seenAt(Math.max(level, topper), look)
}
