import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { describe, expect, test } from 'vitest'
import { calledName, childrenOf, type Node, textOf, treeOf } from './syntax.fixture'

/** Core and server say codes and facts; sentences stand in src/text. Held over the syntax tree, so that comments are free. */

const ROOT = import.meta.dirname

/** What stands there in words all the same, and why. */
const ALLOWED: Record<string, string> = {
  'core/correction/method.ts': 'names of methods as plans of before kept them',
  'core/icalendar/index.ts': 'the product’s name in a calendar file (RFC 5545)',
  'core/messages/sending.ts': 'words a customer may send back',
  'core/region/places.ts': 'names of countries and taxes',
  'core/vehicle/parts.ts': 'the body in the language of the code',
  'core/vehicle/panel-kinds.ts': 'the body in the language of the code',
  'core/vehicle/place-kinds.ts': 'the body in the language of the code',
  'server/db/describe-tables.ts': 'code it writes',
  'server/stock/stock-store.ts': 'a mark by which pours are found again',
}
const NOT_READ =
  /^(raw|whereRaw|orderByRaw|havingRaw|joinRaw|exec|pragma|prepare|info|warn|error|debug|fatal)$/
const SQL_ALIAS = /^\w+ as \w+$/
const HEADER = /^attachment; /

/** Faults thrown, the log, SQL: nobody of the shop reads them. */
const isSpared = (node: Node): boolean =>
  node.type === 'NewExpression' ? /Error$/.test(calledName(node)) : NOT_READ.test(calledName(node))

/** Two words or more in a row, such as people read. */
const isSaid = (text: string) =>
  /\p{L}{2,}[\p{L}’'},.:;]*\s+[\p{L}({]/u.test(text) &&
  /\p{Ll}/u.test(text) &&
  !SQL_ALIAS.test(text) &&
  !HEADER.test(text)

function sentencesIn(node: Node): string[] {
  if (node.type === 'ImportDeclaration' || isSpared(node)) return []
  const own = textOf(node)
  return own !== undefined && isSaid(own) ? [own] : childrenOf(node).flatMap(sentencesIn)
}

const sentences = (code: string) => sentencesIn(treeOf(code))

const files = ['core', 'server'].flatMap((room) =>
  readdirSync(path.join(ROOT, room), { recursive: true, encoding: 'utf8' })
    .filter(
      (name) =>
        /\.tsx?$/.test(name) && !/\.(test|fixture|d)\.tsx?$/.test(name) && !name.includes('migrations'),
    )
    .map((name) => path.join(room, name)),
)

describe('core and server', () => {
  test('say nothing in sentences', () => {
    expect(files.length).toBeGreaterThan(300)
    const found = files
      .filter((name) => !(name in ALLOWED))
      .flatMap((name) =>
        sentences(readFileSync(path.join(ROOT, name), 'utf8')).map((said) => `${name}: ${said}`),
      )
    expect(found).toEqual([])
  })
  test('stand on the list only where they have something to be spared', () => {
    for (const name of Object.keys(ALLOWED))
      expect(sentences(readFileSync(path.join(ROOT, name), 'utf8')), name).not.toEqual([])
  })
  test('would be seen if they did', () => {
    expect(sentences("const a = 'Write the plate.'")).toEqual(['Write the plate.'])
    expect(sentences(`const a = \`No place \${id} here\``)).toEqual(['No place … here'])
    expect(sentences("throw new Error('a plan without a car')")).toEqual([])
    expect(sentences("db.raw('SELECT name FROM jobs')")).toEqual([])
    expect(sentences("ask('keep-under', { characters: 300 })")).toEqual([])
  })
})
