/** What a run comes to, in the figures a manager looks at. */

export const FIGURES = ['kept', 'days', 'carsPerWeek', 'centsPerBayHour', 'lateHours'] as const
export type Figure = (typeof FIGURES)[number]

export type Figures = {
  /** Share of the promises that are kept, 0–1; 1 where nothing was promised. */
  kept: number
  /** Days from when a car can be there until it is done, on average. */
  days: number
  carsPerWeek: number
  /** What is left for an hour a car stands in a bay once its hands and what it took are paid, cents; 0 where none does. */
  centsPerBayHour: number
  /** Hours after their promises that cars are done, all of a week together. */
  lateHours: number
}

/** A car of a run, once it is done; minutes. */
export type DoneCar = {
  /** From when it could be there. */
  untilDone: number
  /** After its promise; absent where nothing was promised. */
  late?: number
  /** In the bays of the shop. */
  inBays: number
  /** What it leaves before its bay is paid, cents; absent where it is not known, and then its bay is not counted either. */
  earnedCents?: number
}

const sum = (values: readonly number[]) => values.reduce((all, value) => all + value, 0)

/** `weeks` is how long the run lasts, above 0. */
export function figuresOf(cars: readonly DoneCar[], weeks: number): Figures {
  const promised = cars.flatMap(({ late }) => (late === undefined ? [] : [late]))
  const paid = cars.filter(({ earnedCents }) => earnedCents !== undefined)
  const bayHours = sum(paid.map(({ inBays }) => inBays)) / 60
  return {
    kept: promised.length === 0 ? 1 : promised.filter((late) => late <= 0).length / promised.length,
    days: cars.length === 0 ? 0 : sum(cars.map(({ untilDone }) => untilDone)) / cars.length / 1440,
    carsPerWeek: cars.length / weeks,
    centsPerBayHour: bayHours === 0 ? 0 : sum(paid.map(({ earnedCents = 0 }) => earnedCents)) / bayHours,
    lateHours: sum(promised.map((late) => Math.max(0, late))) / 60 / weeks,
  }
}
