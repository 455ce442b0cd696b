import { expect, test } from 'vitest'
import { panelsOf, placesOf, SHAPES } from '@/core/vehicle'
import { DUBLIN, OHIO } from '../region.fixture'
import { staffPanel, staffPanelName } from './staff-panels'

test('every panel and place of every body is called as it is on its own side of the Atlantic', () => {
  const everywhere = SHAPES.flatMap((shape) => [...panelsOf(shape), ...placesOf(shape)])
  // The core knows one English name of each, the one of Britain and Ireland.
  for (const { id, name } of everywhere) expect(staffPanel(DUBLIN, id)).toBe(name)
  const american = everywhere.map(({ id }) => staffPanel(OHIO, id)).join(', ')
  expect(american).toMatch(/Hood.*fender.*Liftgate.*Windshield.*Trunk lid/)
  expect(american).not.toMatch(/[Bb]onnet|\b[Ww]ing|[Tt]ailgate|[Ww]indscreen|\b[Bb]oot\b/)
})

test('in the middle of a sentence it begins small', () => {
  expect(staffPanelName(OHIO, 'door-left')).toBe('left door')
  expect(staffPanelName(DUBLIN, 'bonnet')).toBe('bonnet')
})

test('what no body has is called what it is, even where every object has something of that name', () => {
  for (const id of ['tail-fin', 'constructor', 'constructor-left', '__proto__'])
    expect(staffPanelName(DUBLIN, id)).toBe(id)
})
