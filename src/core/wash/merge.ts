import type { WashFindings } from './findings'

type Parts = Readonly<Record<string, unknown>>
const hasParts = (value: unknown): value is Parts => typeof value === 'object' && value !== null

function merged(base: unknown, mine: unknown, theirs: unknown): unknown {
  if (!hasParts(mine) || !hasParts(theirs)) return mine === base ? theirs : mine
  const from = hasParts(base) ? base : {}
  const names = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])]
  return Object.fromEntries(
    names
      .map((name) => [name, merged(from[name], mine[name], theirs[name])] as const)
      .filter(([, value]) => value !== undefined),
  )
}

/**
 * Two tablets before one wash, both from `base`: what only one of them changed is taken from that one, finding by finding;
 * what both changed stays as it is here, under the eyes of whoever touched it last.
 */
export const mergeFindings = (base: WashFindings, mine: WashFindings, theirs: WashFindings): WashFindings =>
  // Parts of findings, put together as findings are.
  merged(base, mine, theirs) as WashFindings
