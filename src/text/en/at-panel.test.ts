import { expect, test } from 'vitest'
import { DUBLIN, OHIO } from '../region.fixture'
import { atPanelLines } from './at-panel'

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
})
