import type { Look } from './look'
import {
  type Band,
  bandOf,
  CAR_CHANCES,
  CAR_LOGS,
  PANEL_CHANCES,
  type Spread,
  SUM_LOGS,
  sumOf,
} from './outlook-grid'
import { GONE_LEVEL, levelAt, likelihood } from './protection'

/**
 * How long a coating should last, as a small Bayesian grid. How it wears, early or late, nobody knows beforehand: everything is
 * worked out for each of a few ways, and each of them counts as much as it explains what was seen. What all panels of a car have in common (the batch, the air it
 * cured in, how it is really washed) is one unknown; what a single panel has of its own is another, nearly always small
 * and now and then large: a spot that was not wiped clean, a bonnet over a hot engine. Both multiply the life that the
 * product and the way the car lives would give.
 */

/** A part that is judged on its own: a panel, or the glass, the wheels, the trim. */
export type Unit = {
  id: string
  /** The life to be expected before anybody has looked, months. */
  lifeMonths: number
  /** Months since its last layer had ended, now. */
  ageMonths: number
  looks: readonly (Look & { ageMonths: number })[]
}

export type UnitOutlook = {
  id: string
  /** Months after its last layer at which it should be gone. */
  lifeMonths: Band
  levelNow: Band
  /** Chance that it still holds, 0–1. */
  holds: number
  /** Gone though the others hold. */
  failsAlone: boolean
}

export type Outlook = {
  units: UnitOutlook[]
  /** What a usual panel of this car has left, month by month from the layer on. */
  curve: (Band & { month: number })[]
  /** Life of a usual panel, months. */
  lifeMonths: Band
}

/**
 * A coating does not only wear: now and then a panel loses it all at once, by a dropping left on, an elbow, a harsh cleaner.
 * Chance a month (mem), and what is left then.
 */
const LOSS_A_MONTH = 0.003
const LOST_LEVEL = 0.05
/** Moments between two looks at which a loss is taken to have been. */
const LOSS_POINTS = 12

/** What was seen on a unit, for each logarithm of its life: had it only worn, or been lost before one of the looks. */
type Witness = { worn: number[]; lost: { from: number; to: number; weights: number[] }[] }

const chanceLost = (months: number) => 1 - (1 - LOSS_A_MONTH) ** Math.max(0, months)

type AtLook = { worn: number[]; lost: number }

/** All that tells one unit from another but its name: most panels of a car are applied on one day and seen alike. */
function likeness({ lifeMonths, ageMonths, looks }: Unit): string {
  return JSON.stringify([lifeMonths, ageMonths, looks.map(({ unit: _, ...seen }) => seen)])
}

/** Reckons once for all that are alike. */
function onceAlike<T, R>(keyOf: (each: T) => string, reckon: (each: T) => R): (each: T) => R {
  const known = new Map<string, R>()
  return (each) => {
    const key = keyOf(each)
    const before = known.get(key)
    if (before !== undefined) return before
    const found = reckon(each)
    known.set(key, found)
    return found
  }
}

/** What one look says of a unit of this life: it may be the same for units that differ in others. */
function lookReader(shape: number): (look: Unit['looks'][number], lifeMonths: number) => AtLook {
  const known = new Map<string, AtLook>()
  return (look, lifeMonths) => {
    const { unit: _, ...seen } = look
    const key = `${lifeMonths} ${JSON.stringify(seen)}`
    const before = known.get(key)
    if (before) return before
    const read = {
      worn: SUM_LOGS.map((log) =>
        likelihood(levelAt(look.ageMonths, lifeMonths * Math.exp(log), shape), look),
      ),
      lost: likelihood(LOST_LEVEL, look),
    }
    known.set(key, read)
    return read
  }
}

function witness({ lifeMonths, looks, ageMonths }: Unit, read: ReturnType<typeof lookReader>): Witness {
  const atLook = looks.map((look) => read(look, lifeMonths))
  /** Worn at the looks before the n-th, lost at it and at all after. */
  const lostBefore = (n: number, chance: number) =>
    SUM_LOGS.map((_, at) =>
      atLook.reduce((product, each, look) => product * (look < n ? each.worn[at]! : each.lost), chance),
    )
  const ages = [0, ...looks.map((look) => look.ageMonths), Math.max(ageMonths, looks.at(-1)?.ageMonths ?? 0)]
  const lost = ages.slice(1).map((age, n) => ({
    from: ages[n]!,
    to: age,
    weights: lostBefore(n, chanceLost(age - ages[n]!) * (1 - chanceLost(ages[n]!))),
  }))
  return { worn: lostBefore(looks.length, 1 - chanceLost(ages.at(-1)!)), lost }
}

/** The witness whichever way it went. */
const either = ({ worn, lost }: Witness) =>
  worn.map((weight, at) => weight + sumOf(lost.map(({ weights }) => weights[at]!)))

/** What the looks at one unit say of each value of what the car has in common. */
function saidOfCar(witnessed: readonly number[]): number[] {
  return CAR_LOGS.map((_, car) => {
    // Plain loops: a page of panels asks for some three hundred thousand of these products.
    let sum = 0
    for (let panel = 0; panel < PANEL_CHANCES.length; panel++)
      sum += PANEL_CHANCES[panel]! * witnessed[car + panel]!
    return Math.max(sum, Number.MIN_VALUE)
  })
}

/**
 * How a car’s coating may wear, from quick at first over nearly in a straight line to slow at first: exponents of the curve (mem). One that goes
 * late and all at once is told apart by nothing seen before, and would only widen every band.
 */
const SHAPES = [0.85, 1.35, 2.2, 3.2] as const

/** A curve is drawn this far beyond the expected life. */
const CURVE_SHARE = 1.8
const CURVE_POINTS = 60

/**
 * What is left of a coating now and until when it should hold, unit by unit, from what was applied, how the car lives and all
 * that was seen since. Ages and lives in months; bands hold eight times in ten. Given what the car has in common, the
 * panels know nothing of each other. Throws without units.
 */
export function outlookOf(units: readonly Unit[]): Outlook {
  if (units.length === 0) throw new Error('an outlook needs at least one coated part')
  const ways = SHAPES.map((shape) => wornSo(units, shape))
  const chances = shares(ways.map(({ evidence }) => evidence))
  const mixed = <T extends { chance: number }>(of: (way: Way) => readonly T[]): T[] =>
    ways.flatMap((way, at) => {
      const spread = of(way)
      const total = sumOf(spread.map(({ chance }) => chance))
      return spread.map((each) => ({ ...each, chance: (chances[at]! * each.chance) / total }))
    })
  const lifeOfUsual = units.map(({ lifeMonths }) => lifeMonths).sort((a, b) => a - b)[units.length >> 1]!
  const judge = onceAlike(likeness, (unit: Unit): UnitOutlook => {
    const of = (way: Way) => way.judge(unit)
    const levels = mixed((way) => of(way).levels)
    return {
      id: unit.id,
      lifeMonths: bandOf(rising(mixed((way) => of(way).lives))),
      levelNow: bandOf(rising(levels)),
      holds: sumOf(levels.filter(({ value }) => value >= GONE_LEVEL).map(({ chance }) => chance)),
      failsAlone: false,
    }
  })
  const lives = mixed(({ car, shape }) =>
    CAR_LOGS.map((log, at) => ({ value: lifeOfUsual * Math.exp(log), chance: car[at]!, shape })),
  )
  return {
    units: withLoners(units.map((unit) => ({ ...judge(unit), id: unit.id }))),
    curve: curveOf(lives, lifeOfUsual),
    lifeMonths: bandOf(rising(lives)),
  }
}

const rising = <T extends Spread[number]>(spread: readonly T[]): T[] =>
  [...spread].sort((a, b) => a.value - b.value)

/** Chances from logarithms of what each explains, together one. */
function shares(logs: readonly number[]): number[] {
  const weights = fromLogs(logs)
  const total = sumOf(weights)
  return weights.map((weight) => weight / total)
}

/** A car judged as if its coating wore in one way, and how well that explains what was seen (a logarithm). */
type Way = {
  shape: number
  car: readonly number[]
  evidence: number
  judge: (unit: Unit) => { lives: Spread; levels: Spread }
}

function wornSo(units: readonly Unit[], shape: number): Way {
  const read = lookReader(shape)
  const see = onceAlike(likeness, (unit): Seen => {
    const witnessed = witness(unit, read)
    return { unit, witnessed, car: saidOfCar(either(witnessed)).map(Math.log) }
  })
  const seen = units.map(see)
  const joint = CAR_CHANCES.map((chance, at) => Math.log(chance) + sumOf(seen.map(({ car }) => car[at]!)))
  const car = fromLogs(joint)
  return {
    shape,
    car,
    evidence: Math.max(...joint) + Math.log(sumOf(car)),
    judge: onceAlike(likeness, (unit) => judgeUnit(see(unit), joint, shape)),
  }
}

/** Weights from their logarithms, the largest of them 1. */
function fromLogs(logs: readonly number[]): number[] {
  const most = Math.max(...logs)
  return logs.map((log) => Math.exp(log - most))
}

type Seen = { unit: Unit; witnessed: Witness; car: readonly number[] }

/** The life of one unit: what all others say of the car, times what is its own, times what was seen on it. */
function judgeUnit(
  { unit, witnessed, car: own }: Seen,
  joint: readonly number[],
  shape: number,
): { lives: Spread; levels: Spread } {
  const others = fromLogs(joint.map((log, at) => log - own[at]!))
  const prior = SUM_LOGS.map(() => 0)
  for (let at = 0; at < others.length; at++)
    for (let panel = 0; panel < PANEL_CHANCES.length; panel++)
      prior[at + panel]! += others[at]! * PANEL_CHANCES[panel]!
  const worn = SUM_LOGS.map((log, at) => ({
    value: unit.lifeMonths * Math.exp(log),
    chance: prior[at]! * witnessed.worn[at]!,
  }))
  const lost = witnessed.lost.flatMap(({ from, to, weights }) => {
    const chance = sumOf(weights.map((weight, at) => weight * prior[at]!)) / LOSS_POINTS
    // At any moment between two looks alike.
    return Array.from({ length: LOSS_POINTS }, (_, at) => ({
      value: from + ((to - from) * (at + 0.5)) / LOSS_POINTS,
      chance,
    }))
  })
  const levels = [
    ...worn.map(({ value, chance }) => ({ value: levelAt(unit.ageMonths, value, shape), chance })),
    ...lost.map(({ chance }) => ({ value: LOST_LEVEL, chance })),
  ]
  return { lives: [...worn, ...lost], levels }
}

/** A part whose coating has more likely gone than not. */
export function hasGone({ holds }: Pick<UnitOutlook, 'holds'>): boolean {
  return holds < 0.5
}

/** No more than this share of the parts may have gone for one of them to have failed alone, and the rest must hold so surely. */
const ALONE_SHARE = 1 / 3
const REST_HOLDS = 0.75

/** A panel is out of step where it has most likely gone while the others quite surely have not. */
function withLoners(units: readonly UnitOutlook[]): UnitOutlook[] {
  const rest = units.filter((unit) => !hasGone(unit)).map(({ holds }) => holds)
  const usual = rest.toSorted((a, b) => a - b)[rest.length >> 1] ?? 0
  const few = units.length - rest.length <= ALONE_SHARE * units.length
  return units.map((unit) => ({ ...unit, failsAlone: few && usual >= REST_HOLDS && hasGone(unit) }))
}

function curveOf(
  lives: readonly (Spread[number] & { shape: number })[],
  usualLife: number,
): Outlook['curve'] {
  const last = usualLife * CURVE_SHARE
  return Array.from({ length: CURVE_POINTS + 1 }, (_, at) => {
    const month = (last * at) / CURVE_POINTS
    return {
      month,
      ...bandOf(
        rising(lives.map(({ value, chance, shape }) => ({ value: levelAt(month, value, shape), chance }))),
      ),
    }
  })
}
