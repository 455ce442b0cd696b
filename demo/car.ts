import { type MethodKey, seededMethod, worked } from '@/core/correction'
import type { Intake } from '@/core/intake/intake'
import type { Defect, NotedDefect, PlaceDefect } from '@/core/survey'
import type { Attempt, AttemptStep } from '@/core/test-spot'

/** What a car of the demo shop is made of, and words for what is usually found on one. */

type Wanted =
  | { kind: 'to-measure' }
  | { kind: 'to-choose' }
  | { kind: 'planned' }
  /** Comes on whichever morning of the two weeks ahead has most room. */
  | { kind: 'booked' }
  /** In the shop: this operation is under way now, or has lately been done. */
  | { kind: 'at'; operation: string; state: 'under-way' | 'just-done' }

export type DemoCar = {
  intake: Partial<Intake> & Pick<Intake, 'customerName' | 'plate' | 'shape' | 'vin'>
  packageKey?: string
  /** Those outside the house who work on it too, by their ids. */
  calledIn?: readonly string[]
  wanted: Wanted
  /** Fetched by its owner some days ago. */
  gone?: boolean
  /** Days from now on which a car that is not yet here arrives. */
  arrivesInDays?: number
  paint: { baseUm: number; panels: Record<string, number> }
  defects: Record<string, NotedDefect[]>
  places?: Record<string, PlaceDefect[]>
  /** Panels that were photographed as the car came in. */
  photographs?: readonly string[]
  /** What was tried at test spots, the first first. */
  spots?: readonly Attempt[]
}

export const swirls = (severity: 1 | 2 | 3, extentPercent: number): Defect => ({
  kind: 'swirls',
  severity,
  extentPercent,
  catchesNail: false,
})
export const scratch = (extentPercent: number, catchesNail: boolean): Defect => ({
  kind: 'scratches',
  severity: 2,
  extentPercent,
  catchesNail,
})
export const chips = (extentPercent: number): Defect => ({
  kind: 'chips',
  severity: 1,
  extentPercent,
  catchesNail: true,
})
export const spots: Defect = { kind: 'water-spots', severity: 2, extentPercent: 30, catchesNail: false }

/** A test spot on the bonnet as the shop writes it down; the square and the speed are the usual ones. */
export const spot = (
  tried: Pick<Attempt, 'process' | 'steps' | 'cleared' | 'verdict' | 'note'> & Partial<Attempt>,
): Attempt => ({
  panel: 'bonnet',
  group: 'metal-original',
  mark: { kind: 'swirls', severity: 2 },
  haze: 'none',
  heat: 'warm',
  beforeUm: [],
  afterUm: [],
  ...tried,
})
/** The steps of a method as they are tried on a taped square. */
const stepsTried = (key: MethodKey): AttemptStep[] =>
  worked(seededMethod(key)).steps.map(({ machine, pad, liquid, dial, passes }) => ({
    machine,
    pad,
    liquid,
    product: '',
    dial,
    passes,
    sectionM: 0.6,
  }))

export const ONE_STEP_CUT = {
  process: 'one-step-cut',
  steps: stepsTried('one-step-cut'),
}
export const TWO_STEP = {
  process: 'two-step',
  steps: stepsTried('two-step'),
}

export const person = (customerName: string, phone: string) => ({
  customerName,
  phone,
  email: `${customerName
    .split(' ')[0]!
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z]/g, '')}@inchmoyle.example`,
  mayRemind: true,
})
