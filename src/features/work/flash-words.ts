import { type FlashState, timerText } from '@/core/card'

/** What a flashing section asks for, and for how long. */
export function flashWords(where: FlashState): string {
  switch (where.kind) {
    case 'wait':
      return `wait ${timerText(where.secondsLeft)}`
    case 'level-now':
      return `level now, ${timerText(where.secondsLeft)}`
    default:
      return `late by ${timerText(where.secondsOver)}`
  }
}
