/** Kinds of defect in paint, with how deep they lie, what they cost the eye and who can mend them. */

export const DEFECT_KINDS = [
  'marring',
  'swirls',
  'scratches',
  'holograms',
  'haze',
  'sanding',
  'water-spots',
  'etching',
  'oxidation',
  'transfer',
  'overspray',
  'residue',
  'algae',
  'chips',
  'dents',
  'clear-failure',
] as const
export type DefectKind = (typeof DEFECT_KINDS)[number]

export type Severity = 1 | 2 | 3

/** One defect seen on a panel; `extentPercent` is the share of the panel it covers, 0–100. */
export type Defect = {
  kind: DefectKind
  severity: Severity
  extentPercent: number
  catchesNail: boolean
  /** How much deeper the shop has found such marks than the table says; never written down with the defect itself. */
  depthFactor?: number
}

type Costs = {
  /** Points lost at full extent for severity 1, 2, 3 (mem). */
  deduct: readonly [number, number, number]
}

/** Who mends it: the machine, as deep as it lies; the wash; or a refinisher, dent remover or touch-up brush. */
export type DefectModel = Costs &
  (
    | {
        mend: 'polish'
        /** Depth scale λ, µm, for severity 1, 2, 3 (mem; the shop's own test spots recalibrate it). */
        depthScaleUm: readonly [number, number, number]
      }
    | { mend: 'clean' }
    | { mend: 'repair' }
  )

export const DEFECT_MODEL: Record<DefectKind, DefectModel> = {
  marring: { mend: 'polish', depthScaleUm: [0.5, 0.5, 0.7], deduct: [8, 16, 26] },
  swirls: { mend: 'polish', depthScaleUm: [0.8, 1, 2], deduct: [14, 28, 44] },
  scratches: { mend: 'polish', depthScaleUm: [3, 5, 7], deduct: [12, 24, 40] },
  holograms: { mend: 'polish', depthScaleUm: [0.4, 0.5, 0.7], deduct: [10, 20, 32] },
  haze: { mend: 'polish', depthScaleUm: [0.3, 0.4, 0.5], deduct: [8, 16, 28] },
  sanding: { mend: 'polish', depthScaleUm: [1, 1.5, 2.5], deduct: [14, 28, 44] },
  'water-spots': { mend: 'polish', depthScaleUm: [0.6, 1, 2], deduct: [8, 18, 30] },
  etching: { mend: 'polish', depthScaleUm: [2, 3, 4], deduct: [12, 24, 38] },
  // A dead layer on top of the paint: a light polish lifts most of it (common practice; depths mem).
  oxidation: { mend: 'polish', depthScaleUm: [0.25, 0.5, 1], deduct: [18, 36, 55] },
  // It lies on the paint: what solvent does not lift a mild pad takes with it (common practice), so little depth is enough (mem).
  transfer: { mend: 'polish', depthScaleUm: [0.2, 0.3, 0.4], deduct: [8, 16, 28] },
  overspray: { mend: 'clean', deduct: [8, 18, 30] },
  residue: { mend: 'clean', deduct: [6, 12, 20] },
  algae: { mend: 'clean', deduct: [6, 12, 20] },
  chips: { mend: 'repair', deduct: [8, 18, 32] },
  dents: { mend: 'repair', deduct: [10, 22, 40] },
  'clear-failure': { mend: 'repair', deduct: [35, 60, 85] },
}

/** λ of a defect, µm; undefined where no depth of polishing mends it. */
export function depthScaleUm(defect: Defect): number | undefined {
  const model = DEFECT_MODEL[defect.kind]
  return model.mend === 'polish'
    ? model.depthScaleUm[defect.severity - 1]! * (defect.depthFactor ?? 1)
    : undefined
}

/**
 * Share of a defect, 0–1, that goes when `removedUm` µm are taken: depths are exponential, 1 − exp(−r/λ). What
 * catches the nail or needs repair stays; what lies on the paint goes with the wash, before any machine.
 */
export function clearedShare(defect: Defect, removedUm: number): number {
  const { mend } = DEFECT_MODEL[defect.kind]
  if (defect.catchesNail || mend === 'repair') return 0
  return mend === 'clean' ? 1 : 1 - Math.exp(-removedUm / depthScaleUm(defect)!)
}
