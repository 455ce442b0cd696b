import type { receiveBatch } from '../queue/receive'

/** An input may ask for what an earlier deed was answered, and for a file with some text. */
export type Asked = { $answer: readonly string[] } | { $file: string }

export type Deed =
  | { kind: 'action'; action: string; key: string; input: unknown }
  | { kind: 'batch'; key: string; batch: Parameters<typeof receiveBatch>[1] }

export type Said = { key: string; answer: unknown }

/** The input of a deed with what it asks for in its place. */
export function filledIn(input: unknown, said: readonly Said[]): unknown {
  if (typeof input !== 'object' || input === null) return input
  if ('$file' in input) return new File([String(input.$file)], 'history.json')
  if ('$answer' in input) {
    const [key, ...path] = input.$answer as string[]
    const found = said.find((each) => each.key === key)?.answer
    return path.reduce((value, name) => (value as Record<string, unknown>)[name], found)
  }
  if (Array.isArray(input)) return input.map((each) => filledIn(each, said))
  return Object.fromEntries(Object.entries(input).map(([name, value]) => [name, filledIn(value, said)]))
}
