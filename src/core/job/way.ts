import type { Stage } from './stage'

/** How far a job has come on its way through the shop: which of its pages are done, which is next, and who is waited for. */

/** The pages of a job, in the order of the work. */
export const WAY = [
  'walk',
  'wash',
  'survey',
  'sign-off',
  'spots',
  'plan',
  'quote',
  'schedule',
  'work',
  'finish',
  'care',
] as const
export type WayStep = (typeof WAY)[number]

/** What was done on the pages that leave no trace in the stage of a job. */
export type WayFacts = {
  /** A defect is recorded, or a place was looked at. */
  inspected: boolean
  washed: boolean
  signed: boolean
  tried: boolean
  /** The newest quote is open: the customer has not answered it, and its day is not over. */
  offered: boolean
}

export type StepState =
  | 'done'
  /** The one thing to do first. */
  | 'next'
  /** Somebody or something else is waited for: the customer, or a coating that cures. */
  | 'waits'
  /** Its time has passed and it was not done. */
  | 'missing'
  | 'to-come'

type Known = { facts: WayFacts; stage: Stage; surveyed: boolean; agreed: boolean }

/** Whether a page is behind this job; optional pages are only ever done or to come. */
function isDone(step: WayStep, { facts, stage, surveyed, agreed }: Known): boolean {
  const gone = stage.kind === 'handed-over'
  switch (step) {
    case 'walk':
      return facts.inspected
    case 'wash':
      return facts.washed
    case 'survey':
      return surveyed
    case 'sign-off':
      return facts.signed
    case 'spots':
      return facts.tried
    case 'plan':
      return agreed || facts.offered
    case 'quote':
    case 'schedule':
      return agreed
    case 'work':
      return gone || stage.kind === 'ready'
    case 'finish':
      return gone
    case 'care':
      return false
  }
}

/** Who does not wait: what comes first of what is to be done, in the order in which it is done. */
function firstOf(known: Known): WayStep | undefined {
  const { facts, agreed, stage } = known
  const open = (step: WayStep) => !isDone(step, known)
  if (stage.kind === 'handed-over') return undefined
  if (!agreed) {
    if (open('walk')) return 'walk'
    if (open('survey')) return 'survey'
    return facts.offered ? undefined : 'plan'
  }
  // What the customer must be told before the work is signed before it begins.
  if (stage.kind === 'planned' && open('sign-off')) return 'sign-off'
  if (stage.kind === 'waiting') return undefined
  return open('work') ? 'work' : 'finish'
}

/** Pages whose time is over once the customer has agreed, or once the work has begun. */
function isMissing(step: WayStep, known: Known): boolean {
  if (isDone(step, known)) return false
  const begun = known.agreed && known.stage.kind !== 'planned'
  return (known.agreed && (step === 'walk' || step === 'survey')) || (begun && step === 'sign-off')
}

/** The state of every page of a job; at most one of them is next. */
export function wayOf(known: Known): Record<WayStep, StepState> {
  const first = firstOf(known)
  const waits: WayStep | undefined =
    known.stage.kind === 'waiting'
      ? 'work'
      : !known.agreed && known.facts.offered && first === undefined
        ? 'quote'
        : undefined
  const stateOf = (step: WayStep): StepState => {
    if (step === first) return 'next'
    if (step === waits) return 'waits'
    if (isDone(step, known)) return 'done'
    return isMissing(step, known) ? 'missing' : 'to-come'
  }
  return Object.fromEntries(WAY.map((step) => [step, stateOf(step)])) as Record<WayStep, StepState>
}
