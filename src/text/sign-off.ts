import type { Language, Region } from '@/core/region'
import type { SignOffFact, SignOffLine } from '@/core/survey'
import { signOffInGerman } from './de/sign-off'
import { signOffInEnglish } from './en/sign-off'
import { signOffInFrench } from './fr/sign-off'
import { inItsSpelling } from './spelling'

/** What a customer signs before the work begins: what will remain, and why. */

export type SignOffWords = {
  title: string
  line: {
    [Rule in SignOffFact['rule']]: (fact: Extract<SignOffFact, { rule: Rule }>, region: Region) => string
  }
  nothingRemains: string
  declaration: string
  job: (number: number) => string
}

const IN: Record<Language, SignOffWords> = {
  en: signOffInEnglish,
  fr: signOffInFrench,
  de: signOffInGerman,
}

export const signOffWords = ({ language }: Pick<Region, 'language'>): SignOffWords => IN[language]

/** A line as it is read out and kept. */
export function signOffLine(region: Region, fact: SignOffFact): SignOffLine {
  const say = signOffWords(region).line[fact.rule] as (fact: SignOffFact, region: Region) => string
  return { rule: fact.rule, text: inItsSpelling(region, say(fact, region)) }
}
