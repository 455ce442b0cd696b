import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { expect, test } from 'vitest'
import { calledName, childrenOf, type Node, textOf, treeOf } from './syntax.fixture'

/** Screens are read in America, too: what is spelt otherwise there is said through `spelt`, or avoided. */

const ROOT = import.meta.dirname
const BRITISH =
  /\b(colour\w*|tyres?|kerb\w*|grey|centre|metres?|millilitres?|litres?|aluminium|cheque|favour\w*|labour|mould|odour|vapour|programme|organis\w*|windscreen|bonnet|boot lid|wings?|sills?)\b/i

function britishIn(node: Node): string[] {
  if (node.type === 'ImportDeclaration' || calledName(node) === 'spelt') return []
  const own = textOf(node)
  // One word in small letters is a name in the code: a field, a panel.
  return own !== undefined && BRITISH.test(own) && !/^[a-z][a-zA-Z-]*$/.test(own)
    ? [own.trim()]
    : childrenOf(node).flatMap(britishIn)
}

test('no screen says a British word of its own', () => {
  const found = ['features', 'ui', 'app'].flatMap((room) =>
    readdirSync(path.join(ROOT, room), { recursive: true, encoding: 'utf8' })
      .filter((name) => name.endsWith('.tsx'))
      .flatMap((name) =>
        britishIn(treeOf(readFileSync(path.join(ROOT, room, name), 'utf8'))).map(
          (said) => `${name}: ${said}`,
        ),
      ),
  )
  expect(found).toEqual([])
  expect(britishIn(treeOf('const a = <p>The colour of it</p>'))).toEqual(['The colour of it'])
})
