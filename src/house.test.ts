import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { expect, test } from 'vitest'

/** The arrows of the house, see docs/architecture.md: who may know whom. */

const ROOT = import.meta.dirname
type File = { name: string; imports: string[] }

const files: File[] = readdirSync(ROOT, { recursive: true, encoding: 'utf8' })
  .filter((name) => /\.tsx?$/.test(name) && !/\.(test|fixture)\.tsx?$/.test(name))
  .map((name) => {
    const text = readFileSync(path.join(ROOT, name), 'utf8')
    const specifiers = [...text.matchAll(/(?:\bfrom|\bimport)\s*\(?\s*'([^']+)'/g)].map(([, from]) => from!)
    return {
      name,
      imports: specifiers.map((from) =>
        from.startsWith('.')
          ? path.join(path.dirname(name), from)
          : from.startsWith('@/')
            ? from.slice(2)
            : from,
      ),
    }
  })

/** Files under `from` that import something that is `forbidden`, as "file → import". */
function strays(from: string, forbidden: RegExp, except: RegExp = /^$/): string[] {
  return files
    .filter(({ name }) => name.startsWith(from))
    .flatMap(({ name, imports }) =>
      imports.filter((to) => forbidden.test(to) && !except.test(to)).map((to) => `${name} → ${to}`),
    )
}

test('there is a house to look at', () => {
  expect(files.length).toBeGreaterThan(500)
  expect(files.filter(({ imports }) => imports.length > 0).length).toBeGreaterThan(400)
})

test('the core knows nothing of screens, database or machine', () => {
  expect(strays('core/', /^(server|features|ui|app|devices|workers)\/|^(react|next|knex|node:)/)).toEqual([])
})

test('words know the core only, and the core no words', () => {
  expect(strays('text/', /^(server|features|ui|app|devices|workers)\/|^(react|next|knex|node:)/)).toEqual([])
  expect(strays('core/', /^text\//)).toEqual([])
})

test('devices know the core only', () => {
  expect(strays('devices/', /^(server|features|ui|app|workers)\/|^(react|next|knex)/)).toEqual([])
})

test('the server knows no screens', () => {
  expect(strays('server/', /^(features|ui|app)\/|^react/)).toEqual([])
})

test('screens reach the shop by its actions alone, never by a store or the database', () => {
  expect(strays('features/', /^server\//, /-actions$/)).toEqual([])
  expect(strays('features/', /^app\//)).toEqual([])
})

test('the design system knows no stage of the work', () => {
  expect(strays('ui/', /^(server|features|app|workers)\//)).toEqual([])
})

test('what ships knows nothing of the demo', () => {
  expect(strays('', /^@demo\//)).toEqual([])
})
