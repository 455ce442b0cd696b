import { expect, test } from 'vitest'
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
  ['cleared', { cleared: Number.NaN }, 'in percent'],
  ['cleared', { cleared: 1.2 }, '100 %'],
  ['passes', { passes: 0 }, 'One pass'],
  ['passes', { passes: 2.5 }, 'whole number'],
  ['sectionM', { sectionM: 3 }, '1 m or less'],
  ['speed', { speed: Number.NaN }, 'dial'],
  ['machine', { machine: ' ' }, 'machine'],
  ['process', { process: 'leave' }, 'what was tried'],
  ['verdict', { verdict: undefined }, 'what it comes to'],
  ['beforeUm', { beforeUm: [], afterUm: [100, 101] }, 'none before'],
  ['beforeUm', { beforeUm: [Number.NaN] }, 'numbers of µm'],
] as const)('%s is refused with words that say what to do', (path, more, words) => {
  const issue = fault(more)
  expect(issue?.path[0]).toBe(path)
  expect(issue?.message.toLowerCase()).toContain(words.toLowerCase())
})

test('a chip is no mark to judge a polish by', () => {
  expect(fault({ mark: { kind: 'chips', severity: 1 } })?.message).toContain('polishing can clear')
})
