import type { TimerLabel } from '@/core/card'
import type { Absurd } from '@/core/climate'
import type { QueueEntry } from '@/core/queue'

/** What a wait is called, and what decides that it is over. */
export const TIMER_WORDS: Record<TimerLabel, { name: string; note: string }> = {
  foam: { name: 'Foam', note: 'Never let it dry.' },
  acid: { name: 'Acid on the first wheel', note: 'Four minutes only where two were safe.' },
  iron: { name: 'Iron remover', note: 'Longer only where the data sheet says so.' },
  wheels: { name: 'Wheel cleaner', note: 'Never let it dry.' },
  tyres: { name: 'Tyre cleaner', note: 'Never let it dry.' },
  soak: { name: 'Lower panels soak', note: 'Never let it dry.' },
  tar: { name: 'Tar remover', note: 'Longer only where the data sheet says so.' },
  mineral: { name: 'Acid on water spots', note: 'Longer only where the data sheet says so.' },
  'pre-spray': { name: 'Pre-spray', note: 'Never let it dry.' },
  'all-in-one': { name: 'All-in-one sets', note: 'Swipe a finger: greasy means wait.' },
  flash: { name: 'Flash', note: 'Go by the data sheet and by how the coating looks.' },
  level: { name: 'Level', note: 'One towel to level, then a second.' },
  dwell: { name: 'Dwell', note: 'As the data sheet says.' },
}

/** The name of a timer as it was kept; before it was kept by a code of its own, the name itself. */
export const timerName = (label: string): string => TIMER_WORDS[label as TimerLabel]?.name ?? label

/** Spread slowly, then work at the speed of the method. */
export const dialText = (dial: number) => `spread at 1, work at ${dial}`

export const ABSURD_WORDS: Record<Absurd, string> = {
  impossible: 'air cannot be like that',
  jumped: 'it jumped from one reading to the next',
}

/** What could not be taken, where no step is known. */
export const ENTRY_WORDS: Record<Exclude<QueueEntry['kind'], 'call'>, string> = {
  act: 'an entry at the car',
  photo: 'a photograph',
}
