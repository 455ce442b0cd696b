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

test.each([
  ['passes', { passes: 0 }, 'one-pass'],
  ['passes', { passes: 2.5 }, 'passes'],
  ['sectionM', { sectionM: 3 }, 'square'],
  ['dial', { dial: Number.NaN }, 'speed'],
  ['machine', { machine: ' ' }, 'machine'],
  ['pad', { pad: 'Foam cut' }, 'pad'],
] as const)('%s of a step is refused at that step', (field, more, code) => {
  const [first, last] = attempt({ process: 'two-step' }).steps
  const issue = fault({ process: 'two-step', steps: [first, { ...last, ...more }] })
  expect(issue?.path).toEqual(['steps', 1, field])
  expect(readAsk(issue!.message)?.code).toBe(code)
})

test('an attempt from before its steps were kept one by one is read with the tools of its cutting step', () => {
  const { steps: _, ...rest } = attempt({ process: 'two-step' })
  const before = {
    ...rest,
    machine: 'Forced rotation',
    pad: 'Microfibre',
    liquid: 'Heavy compound',
    speed: 5,
    passes: 4,
    sectionM: 0.6,
  }
  expect(attemptSchema.parse(before).steps).toEqual([
    {
      machine: 'forced-rotation',
      pad: 'microfibre',
      liquid: 'heavy-compound',
      product: '',
      dial: 5,
      passes: 4,
      sectionM: 0.6,
    },
  ])
})
