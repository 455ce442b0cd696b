import { expect, test } from 'vitest'
import { type Defect, emptyRecord, judgeRecord } from '@/core/survey'
import { panelsOf, placesOf } from '@/core/vehicle'
import { DUBLIN } from '@/text/region.fixture'
import { conditionFace, pinsOf, placeFace } from './walk-faces'

const vehicle = { shape: 'van', paintSystem: 'clear-over-base' } as const
const swirls = (severity: 1 | 2 | 3): Defect => ({
  kind: 'swirls',
  severity,
  extentPercent: 80,
  catchesNail: false,
})
const faceOf = (defects: Defect[], inspected: string[] = []) => {
  const record = { ...emptyRecord(), defects: { bonnet: defects }, inspected }
  return conditionFace(
    DUBLIN,
    judgeRecord(vehicle, { school: 'both' }, record, {}).panels.find(({ panel }) => panel.id === 'bonnet')!,
  )
}
const share = (fill: string) => Number(fill.match(/(\d+)%/)?.[1] ?? 0)

test('a panel nothing is noted on stays plain, and says whether anybody has inspected it', () => {
  const plain = { fill: 'var(--c-sheet)' }
  expect(faceOf([])).toMatchObject({ ...plain, text: '', label: 'Bonnet: not inspected yet' })
  expect(faceOf([], ['bonnet'])).toMatchObject({
    ...plain,
    text: 'A',
    label: 'Bonnet: inspected, no defects',
  })
})

test('the worse a panel is, the browner it stands there, with its letter', () => {
  const [light, heavy] = [faceOf([swirls(1)]), faceOf([swirls(3), swirls(3)])]
  expect(share(heavy.fill)).toBeGreaterThan(share(light.fill))
  expect(light.text).toBe('B')
  expect(heavy.label).toMatch(/^Bonnet: 2 recorded, [CDE] \d+$/)
})

test('a place is marked as soon as something is noted on it', () => {
  const place = placesOf('van').find(({ id }) => id === 'wheel-front-left')!
  expect(placeFace(DUBLIN, place, {}).mark).toBeUndefined()
  expect(
    placeFace(DUBLIN, place, { 'wheel-front-left': [{ kind: 'kerbed', severity: 1, note: '' }] }),
  ).toMatchObject({
    mark: 'noted',
    label: 'Left front wheel: 1 recorded',
  })
})

test('points are numbered in the order of the walk, nail catchers in the colour of what must not be touched', () => {
  const at = (x: number, catchesNail = false) => ({ ...swirls(1), catchesNail, at: { x, y: 1 } })
  const pins = pinsOf({ roof: [at(9)], bonnet: [swirls(2), at(3), at(4, true)] }, panelsOf('van'))
  expect(pins.map(({ id, label, x, held }) => [id, label, x, held])).toEqual([
    ['bonnet-1', '1', 3, false],
    ['bonnet-2', '2', 4, true],
    ['roof-0', '3', 9, false],
  ])
})
