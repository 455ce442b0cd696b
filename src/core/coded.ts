/**
 * Codes with facts on their way through strings: Zod keeps what is wrong with a value as a string, and so do answers and files.
 * `src/text` reads them back and makes the sentence.
 */

export function coded(kind: string, code: string, facts?: object): string {
  return `${kind}:${code}${facts ? JSON.stringify(facts) : ''}`
}

/** What a coded string says; undefined for any other. */
export function readCoded(kind: string, text: string): { code: string; facts?: object } | undefined {
  if (!text.startsWith(`${kind}:`)) return undefined
  const [, code, facts] = /^([a-z0-9-]+)(\{.*\})?$/s.exec(text.slice(kind.length + 1)) ?? []
  return code ? { code, ...(facts ? { facts: JSON.parse(facts) } : {}) } : undefined
}
