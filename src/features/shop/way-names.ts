import type { PolishingSchool } from '@/core/offer'
import type { Sharing, Unagreed } from '@/core/planning'
import type { School } from '@/core/survey'
import type { WashSchool } from '@/core/wash'

/** How the ways a shop may choose between are called. */

export const SCHOOL_NAME: Record<School, string> = {
  'gauge-guided': 'From the gauge reading',
  'method-guided': 'From the method used',
  both: 'Whichever is stricter',
}
export const WASH_SCHOOL_NAME: Record<WashSchool, string> = {
  'iron-first': 'Iron remover, then clay',
  'clay-first': 'Clay, then iron remover',
}

export const SHARING_NAME: Record<Sharing, string> = {
  one: 'One person, start to end',
  two: 'Two may share it, panel by panel',
}

export const UNAGREED_NAME: Record<Unagreed, string> = {
  'goes-on': 'are worked anyway',
  waits: 'wait for their yes',
}

export const POLISHING_NAME: Record<PolishingSchool, string> = {
  'step-by-step': 'Cut the whole car, then refine it',
  'panel-by-panel': 'Finish one panel, then the next',
}
