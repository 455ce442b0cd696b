import { expect, test } from 'vitest'
import { ask } from '../asks'
import { actSchema } from './act-schema'

const climate = { airC: 18, rhPercent: 52, panelC: 17 }
const coat = { productId: 'p', lot: 'L', poured: [{ bottle: 'b', ml: 36 }], climate }

test.each([
  [{ kind: 'done', operation: 'layer-1', coat }, undefined],
  [{ kind: 'done', operation: 'layer-1', coat: { ...coat, lot: ' ' } }, ask('lot')],
  [
    { kind: 'done', operation: 'layer-1', coat: { ...coat, climate: { ...climate, rhPercent: 140 } } },
    ask('between', { quantity: 'percent', least: 1, most: 100 }),
  ],
  [
    { kind: 'done', operation: 'layer-1', coat: { ...coat, poured: [{ bottle: 'b', ml: -1 }] } },
    ask('poured'),
  ],
  [{ kind: 'process', operation: 'cut', panel: 'roof', process: 'Leave', reason: '' }, ask('a-note')],
])('an act that comes in is read, or refused with what to do: %j', (act, message) => {
  const read = actSchema.safeParse(act)
  expect(read.success ? undefined : read.error.issues[0]!.message).toBe(message)
})

test('an act of no known kind, or without its step, is not read', () => {
  for (const act of [
    {},
    { kind: 'explode', operation: 'x' },
    { kind: 'begin' },
    { kind: 'begin', operation: '' },
  ])
    expect(actSchema.safeParse(act).success).toBe(false)
})

test('a method a tablet of before still calls by its name is read as its key', () => {
  const act = {
    kind: 'process',
    operation: 'cut',
    panel: 'roof',
    process: 'Two-step with wool',
    reason: 'hard',
  }
  expect(actSchema.parse(act)).toMatchObject({ process: 'two-step-wool' })
  expect(actSchema.safeParse({ ...act, process: '' }).success).toBe(false)
})
