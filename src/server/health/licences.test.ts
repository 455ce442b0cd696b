import { readFileSync } from 'node:fs'
import { expect, test } from 'vitest'
import { licencesIn } from './licences'

test('what the shop runs with is listed once with its licence, and what only builds it is not', () => {
  const lock = JSON.stringify({
    packages: {
      '': { version: '0.1.0' },
      'node_modules/b': { version: '1.0.0', license: 'MIT' },
      'node_modules/x/node_modules/@s/a': { version: '2.0.0', license: 'ISC' },
      'node_modules/b/node_modules/@s/a': { version: '2.0.0', license: 'ISC' },
      'node_modules/only-builds': { version: '3.0.0', license: 'MIT', dev: true },
    },
  })
  expect(licencesIn(lock)).toEqual([
    { name: '@s/a', version: '2.0.0', licence: 'ISC' },
    { name: 'b', version: '1.0.0', licence: 'MIT' },
  ])
})

test('every package of this shop may be used in one: none asks for its own source', () => {
  const own = licencesIn(readFileSync('package-lock.json', 'utf8'))
  expect(own.length).toBeGreaterThan(100)
  expect(own.filter(({ licence }) => /(^|\s|\()A?GPL/.test(licence ?? ''))).toEqual([])
})
