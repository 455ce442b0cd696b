/** Kinds of defect, with how deep they lie and what they cost the eye. */

export const DEFECT_KINDS = [
  'marring',
  'swirls',
  'holograms',
  'haze',
  'scratches',
  'water-spots',
  'etching',
  'oxidation',
  'chips',
  'clear-failure',
] as const
export type DefectKind = (typeof DEFECT_KINDS)[number]

export type Severity = 1 | 2 | 3

/** One defect seen on a panel; `extentPercent` is the share of the panel it covers, 0–100. */
export type Defect = { kind: DefectKind; severity: Severity; extentPercent: number; catchesNail: boolean }

type DefectModel = {
  name: string
  /** Depth scale λ, µm, for severity 1, 2, 3 (mem; the shop's own test spots recalibrate it). */
  depthScaleUm: readonly [number, number, number]
  /** Points lost at full extent for severity 1, 2, 3 (mem). */
  deduct: readonly [number, number, number]
  /** Chips and failed clear are not a matter of depth: no polish clears them. */
  polishable: boolean
}

export const DEFECT_MODEL: Record<DefectKind, DefectModel> = {
  marring: { name: 'Wash marring', depthScaleUm: [0.5, 0.5, 0.7], deduct: [8, 16, 26], polishable: true },
  swirls: { name: 'Swirls', depthScaleUm: [0.8, 1, 2], deduct: [14, 28, 44], polishable: true },
  holograms: { name: 'Holograms', depthScaleUm: [0.4, 0.5, 0.7], deduct: [10, 20, 32], polishable: true },
  haze: { name: 'Haze', depthScaleUm: [0.3, 0.4, 0.5], deduct: [8, 16, 28], polishable: true },
  scratches: { name: 'Deep scratches', depthScaleUm: [3, 5, 7], deduct: [12, 24, 40], polishable: true },
  'water-spots': { name: 'Mineral spots', depthScaleUm: [0.6, 1, 2], deduct: [8, 18, 30], polishable: true },
  etching: { name: 'Etching', depthScaleUm: [2, 3, 4], deduct: [12, 24, 38], polishable: true },
  oxidation: { name: 'Oxidation', depthScaleUm: [0.8, 1.5, 2.5], deduct: [18, 36, 55], polishable: true },
  chips: { name: 'Stone chips', depthScaleUm: [0, 0, 0], deduct: [8, 18, 32], polishable: false },
  'clear-failure': {
    name: 'Clear coat failing',
    depthScaleUm: [0, 0, 0],
    deduct: [35, 60, 85],
    polishable: false,
  },
}

export function depthScaleUm(defect: Defect): number {
  return DEFECT_MODEL[defect.kind].depthScaleUm[defect.severity - 1]!
}

/** Share of a defect, 0–1, that goes when `removedUm` µm are taken: depths are exponential, 1 − exp(−r/λ). */
export function clearedShare(defect: Defect, removedUm: number): number {
  if (defect.catchesNail || !DEFECT_MODEL[defect.kind].polishable) return 0
  return 1 - Math.exp(-removedUm / depthScaleUm(defect))
}
