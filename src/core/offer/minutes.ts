/** How dirty a car is taken to be until somebody has felt it, of 100 (mem). */
export const TYPICAL_CONTAMINATION = 40

/** At this score half of what decontamination takes is taken, of 100 (mem). */
const HALF_AT = 36

/** How much of the work of a whole decontamination so dirty a car takes, 0–1. */
const allOver = (score: number) => score ** 2 / (score ** 2 + HALF_AT ** 2)

/** Minutes, all common practice or remembered, for a car of painted area a m². */
export const MINUTES = {
  /**
   * Not half an hour on a clean car, an hour and a half with iron, tar and clay on a middle-sized one (mem). A few dots are taken
   * off where they are; then iron remover and clay go over the whole car, and what is dirtier still takes little longer.
   */
  wash: (areaM2: number, score: number) => 5 + 1.6 * areaM2 + 13 * areaM2 * allOver(score),
  /**
   * Pre-spray, sponge, both decontaminations and drying without a hose: 45 min on a middle-sized car (cp), less where there is
   * nothing to take off (mem).
   */
  rinselessWash: (areaM2: number, score: number) =>
    areaM2 * (2 + (3 * allOver(score)) / allOver(TYPICAL_CONTAMINATION)),
  /** Dust and fingers taken off without a hose, nothing decontaminated (mem). */
  washAgain: (areaM2: number) => 2 * areaM2,
  /** Masking, lamp round the car, test spot (cp: 45 min of preparation). */
  mask: () => 45,
  /** What one gentle pass needs: tape on what must stay dry (mem). */
  maskLightly: () => 10,
  /** Panel wipe twice round (mem). */
  wipe: (areaM2: number) => 15 + 3 * areaM2,
  /** A layer takes 3–4 h on a car (cp): a few minutes for each section of 0.6 m, its flash and two towels. */
  layer: (areaM2: number) => 20 + 17 * areaM2,
  /** A sealant is sprayed, spread and buffed as one goes (mem). */
  sprayed: (areaM2: number) => 10 + 4 * areaM2,
  /** One towel round the car (mem). */
  buff: (areaM2: number) => 1.6 * areaM2,
  /** Refit, glass, tyres, final inspection by a second pair of eyes (mem). */
  finish: () => 60,
  /** The same where nothing was taken off and nothing was coated (mem). */
  lastLook: () => 5,
}
