import { type ParserOptions, parse } from '@babel/parser'

/** A source as its tree, for tests that hold what may be written in it. */

export type Node = { type: string; [key: string]: unknown }
export const isNode = (value: unknown): value is Node =>
  typeof value === 'object' && value !== null && typeof (value as Node).type === 'string'

/** What a node says in words: of a template what stands between its holes. */
export function textOf(node: Node): string | undefined {
  if (node.type === 'StringLiteral' || node.type === 'JSXText') return node.value as string
  if (node.type !== 'TemplateLiteral') return undefined
  return (node.quasis as { value: { cooked: string } }[]).map(({ value }) => value.cooked).join('…')
}

/** Name of what is called or made: `ask` of `ask('lot')`, `raw` of `db.raw('…')`. */
export function calledName(node: Node): string {
  const callee = node.callee as { name?: string; property?: { name?: string } } | undefined
  return callee?.name ?? callee?.property?.name ?? ''
}

export const childrenOf = (node: Node): Node[] => Object.values(node).flat().filter(isNode)

const OPTIONS: ParserOptions = { sourceType: 'module', plugins: ['typescript', 'jsx'], attachComment: false }
export const treeOf = (code: string): Node => parse(code, OPTIONS).program as unknown as Node
