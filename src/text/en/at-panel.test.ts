import { expect, test } from 'vitest'
import { localDayOrThrow } from '@/core/time'
import { DUBLIN, OHIO } from '../region.fixture'
import { atPanelLines, recipeLine } from './at-panel'

const panel = {
  depth: { meanUm: 201.4, lowestUm: 196 },
  finding: 'repainted',
  spareUm: 3.5,
  marks: [{ kind: 'scratches', severity: 3, catchesNail: true, note: 'key, handle to edge' }],
  told: ['nail', 'edge-taped'],
} as const

test('a panel is told in lines one reads with a machine in hand', () => {
  expect(atPanelLines(DUBLIN, { ...panel, marks: [...panel.marks], told: [...panel.told] })).toEqual([
    '201 µm, thinnest 196 µm; resprayed; safe to remove 3.5 µm',
    'Deep scratches heavy, catches a nail, key, handle to edge',
    'Promised: scratches that catch a nail stay; the edges are taped, the rest is polished',
  ])
  expect(atPanelLines(OHIO, { finding: 'not-read', spareUm: 1, marks: [], told: [] })).toEqual([
    'Paint depth not known; safe to remove 0.04 mil',
  ])
  const last = [
    { day: localDayOrThrow('2026-07-03'), note: 'a hologram by the badge' },
    { day: localDayOrThrow('2026-06-01'), note: '', water: 'sheets' as const },
  ]
  const before = { finding: 'not-read', spareUm: 1, marks: [], told: [], last } as const
  expect(atPanelLines(DUBLIN, { ...before, marks: [], told: [], last: [...last] }).slice(1)).toEqual([
    expect.stringMatching(/3 Jul.*: a hologram by the badge$/),
    expect.stringMatching(/1 Jun.*: \S/),
  ])
})

test('spot work says what it may take of the mark', () => {
  const spot = { mark: 'scratches', takesUm: 2.14 } as const
  expect(atPanelLines(DUBLIN, { finding: 'not-read', spareUm: 3.5, marks: [], told: [], spot })).toContain(
    'Spot work on the deepest mark (deep scratches): 2.1 µm at most, beside the polish',
  )
})

test('how it is worked stands on one line', () => {
  const recipe = { machine: 'long-throw', pad: 'foam-cut', padMm: 125, liquid: 'heavy-compound' } as const
  expect(recipeLine(DUBLIN, { ...recipe, dial: 5, passes: 4, sectionM: 0.6 })).toMatch(
    /^[A-Z].*cutting foam, 125 mm; heavy compound; speed 5; 4 passes on 0\.60 m/,
  )
  expect(recipeLine(DUBLIN, { ...recipe, machine: 'hand', dial: 1, passes: 2, sectionM: 0.3 })).not.toContain(
    'speed',
  )
})
