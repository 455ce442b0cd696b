import type { OneOff, Skill } from '@/core/offer'
import type { Region } from '@/core/region'
import { amountText, minorOf, type NumberText, numberOf } from '@/text/typed'

/** A line of one quote as it is typed. */
export type TypedOneOff = { words: string; amount: NumberText; hours: NumberText; skill: Skill }

const HOUR = 60

export const typedOneOff = (region: Region, { words, cents, minutes, skill }: OneOff): TypedOneOff => ({
  words,
  amount: amountText(region, cents),
  hours: String(minutes / HOUR),
  skill,
})

/** As it is kept; what is not a number is left for the schema to refuse. */
export const readOneOff = (region: Region, { words, amount, hours, skill }: TypedOneOff): OneOff => ({
  words,
  cents: minorOf(region, amount),
  minutes: Math.round(numberOf(hours) * HOUR),
  skill,
})
