import { ok, type Result, refused } from '../result'

/** What a message can speak of, in the words of whoever gets it. */
export const FACT_NAMES = [
  'name',
  'car',
  'shop',
  'phone',
  'from',
  'until',
  'panels',
  'guarantee',
  'page',
  'words',
] as const
export type FactName = (typeof FACT_NAMES)[number]
type Always = 'name' | 'car' | 'shop'
export type Facts = Record<Always, string> & Partial<Record<Exclude<FactName, Always>, string>>

/** A line that speaks of one of these is left out where there is none. */
const LINE_OF_ITS_OWN: readonly FactName[] = ['page', 'guarantee']

export type Template = { subject: string; text: string }
export type TemplateError = { code: 'unknown-fact' | 'fact-missing'; name: string }

const isFact = (name: string): name is FactName => (FACT_NAMES as readonly string[]).includes(name)

/** Names in braces that a template uses and nobody knows: what its editor is told. */
export function unknownFacts({ subject, text }: Template): string[] {
  const names = [...`${subject} ${text}`.matchAll(/\{([^{}]*)\}/g)].map(([, name]) => name!)
  return [...new Set(names.filter((name) => !isFact(name)))]
}

/** Fills a template in; a line of a fact that may be absent goes with it. */
export function fillIn(template: Template, facts: Facts): Result<Template, TemplateError> {
  let error: TemplateError | undefined
  const filled = (text: string) =>
    text.replace(/\{([^{}]*)\}/g, (_, name: string) => {
      if (!isFact(name)) {
        error ??= { code: 'unknown-fact', name }
        return ''
      }
      const value = facts[name]
      if (value === undefined) error ??= { code: 'fact-missing', name }
      return value ?? ''
    })
  const absent = LINE_OF_ITS_OWN.filter((name) => !facts[name])
  const lines = template.text.split('\n').filter((line) => !absent.some((name) => line.includes(`{${name}}`)))
  const done = { subject: filled(template.subject), text: filled(lines.join('\n')) }
  return error ? refused(error) : ok(done)
}
