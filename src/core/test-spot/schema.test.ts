import { expect, test } from 'vitest'
import { ask, readAsk } from '../asks'
import { attemptSchema } from './schema'
import { attempt } from './spots.fixture'

const fault = (more: Record<string, unknown>) => {
  const checked = attemptSchema.safeParse({ ...attempt(), ...more })
  return checked.success ? undefined : checked.error.issues[0]!
}

test('a whole attempt is read as it was written', () => {
  expect(attemptSchema.parse(attempt())).toEqual(attempt())
})

test.each([
  ['cleared', { cleared: Number.NaN }, 'cleared'],
  ['cleared', { cleared: 1.2 }, 'percent-most'],
  ['passes', { passes: 0 }, 'one-pass'],
  ['passes', { passes: 2.5 }, 'passes'],
  ['sectionM', { sectionM: 3 }, 'square'],
  ['speed', { speed: Number.NaN }, 'speed'],
  ['machine', { machine: ' ' }, 'machine'],
  ['process', { process: 'leave' }, 'spot-process'],
  ['verdict', { verdict: undefined }, 'verdict'],
  ['beforeUm', { beforeUm: [], afterUm: [100, 101] }, 'before-missing'],
  ['beforeUm', { beforeUm: [Number.NaN] }, 'film-readings'],
] as const)('%s is refused with what to do', (path, more, code) => {
  const issue = fault(more)
  expect(issue?.path[0]).toBe(path)
  expect(readAsk(issue!.message)?.code).toBe(code)
})

test('a chip is no mark to judge a polish by', () => {
  expect(fault({ mark: { kind: 'chips', severity: 1 } })?.message).toBe(ask('spot-mark'))
})
