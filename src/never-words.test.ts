import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { expect, test } from 'vitest'
import { childrenOf, type Node, textOf, treeOf } from './syntax.fixture'
import { NEVER } from './text/never.fixture'

/** Dialogs, empty lists and refusals are read by no story: every word of every component and catalogue is held to the glossary. */

const ROOT = import.meta.dirname
const SHIPPED = /(?<!\.(test|fixture))\.tsx?$/

function neverIn(node: Node): string[] {
  if (node.type === 'ImportDeclaration') return []
  const own = textOf(node)?.replace(/\s+/g, ' ').trim()
  // One word in small letters is a name in the code, and so is a list of classes.
  return own !== undefined && NEVER.test(own) && / /.test(own) ? [own] : childrenOf(node).flatMap(neverIn)
}

test('no component and no catalogue says a word nobody should read', () => {
  const found = ['features', 'ui', 'app', 'text'].flatMap((room) =>
    readdirSync(path.join(ROOT, room), { recursive: true, encoding: 'utf8' })
      .filter((name) => SHIPPED.test(name))
      .flatMap((name) =>
        neverIn(treeOf(readFileSync(path.join(ROOT, room, name), 'utf8'))).map((said) => `${name}: ${said}`),
      ),
  )
  expect(found).toEqual([])
  expect(neverIn(treeOf('const a = <p>The coating was laid anew</p>'))).toEqual(['The coating was laid anew'])
})
