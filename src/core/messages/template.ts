import type { Language } from '../customer'
import { ok, type Result, refused } from '../result'
import type { LocalDay } from '../time'
import { localDayOrThrow } from '../time'
import type { Occasion } from './occasion'

/** What a message can speak of. Days are given as days and written as the language writes them. */
export type Facts = {
  name: string
  car: string
  shop: string
  phone?: string
  from?: LocalDay
  until?: LocalDay
  panels?: string
  page?: string
  words?: string
}
export const FACT_NAMES = [
  'name',
  'car',
  'shop',
  'phone',
  'from',
  'until',
  'panels',
  'page',
  'words',
] as const
export type FactName = (typeof FACT_NAMES)[number]

export type Template = { subject: string; text: string }
export type TemplateError = { code: 'unknown-fact' | 'fact-missing'; name: string }

const LOCALE: Record<Language, string> = { en: 'en-IE', fr: 'fr-FR', de: 'de-DE' }

function dayWords(language: Language, day: LocalDay): string {
  return new Intl.DateTimeFormat(LOCALE[language], { day: 'numeric', month: 'long', timeZone: 'UTC' }).format(
    new Date(`${day}T12:00:00Z`),
  )
}

const isFact = (name: string): name is FactName => (FACT_NAMES as readonly string[]).includes(name)

/** Names in braces that a template uses and nobody knows: what its editor is told. */
export function unknownFacts({ subject, text }: Template): string[] {
  const names = [...`${subject} ${text}`.matchAll(/\{([^{}]*)\}/g)].map(([, name]) => name!)
  return [...new Set(names.filter((name) => !isFact(name)))]
}

/** Fills a template in. A line whose only fact is the customer’s page is dropped where there is none. */
export function fillIn(
  template: Template,
  facts: Facts,
  language: Language,
): Result<Template, TemplateError> {
  let error: TemplateError | undefined
  const filled = (text: string) =>
    text.replace(/\{([^{}]*)\}/g, (_, name: string) => {
      if (!isFact(name)) {
        error ??= { code: 'unknown-fact', name }
        return ''
      }
      const value = facts[name]
      if (value === undefined) {
        error ??= { code: 'fact-missing', name }
        return ''
      }
      return name === 'from' || name === 'until' ? dayWords(language, localDayOrThrow(value)) : value
    })
  const lines = template.text.split('\n').filter((line) => facts.page || !line.includes('{page}'))
  const done = { subject: filled(template.subject), text: filled(lines.join('\n')) }
  return error ? refused(error) : ok(done)
}

export const TEMPLATE_ERROR_TEXT: Record<TemplateError['code'], (name: string) => string> = {
  'unknown-fact': (name) =>
    `{${name}} is nothing a message knows. Use ${FACT_NAMES.map((each) => `{${each}}`).join(', ')}.`,
  'fact-missing': (name) => `This car has no {${name}}. Take it out of the text.`,
}

/** What is said of a repair that is booked, to stand for {words}. */
export function repairWords(language: Language, day: LocalDay, onGuarantee: boolean): string {
  const on = dayWords(language, day)
  switch (language) {
    case 'en':
      return onGuarantee
        ? `We put it right on guarantee; it is booked for ${on}.`
        : `We can put it right; it is booked for ${on}.`
    case 'fr':
      return onGuarantee
        ? `Nous la reprenons sous garantie ; le rendez-vous est pris pour le ${on}.`
        : `Nous pouvons la reprendre ; le rendez-vous est pris pour le ${on}.`
    case 'de':
      return onGuarantee
        ? `Wir bringen das auf Garantie in Ordnung; der Termin ist am ${on}.`
        : `Wir können das in Ordnung bringen; der Termin ist am ${on}.`
  }
}

export type Templates = Record<Occasion, Record<Language, Template>>
