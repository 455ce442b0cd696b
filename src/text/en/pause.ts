import type { PauseReason } from '@/core/card'

/** Why work rests, as it is chosen at the car. */
export const PAUSE_WORDS: Record<PauseReason, string> = {
  break: 'Break',
  'other-car': 'Needed at another car',
  hot: 'Panel or pad too hot',
  air: 'Air out of limits',
  question: 'A question to the office',
  material: 'Material missing',
  'day-over': 'Day is over',
}
