import { expect, test } from 'vitest'
import catalogueFile from '../../../demo/catalogue.json'
import { catalogueSchema } from './product'
import { COATING_RULES, type CoatingPlan, coatingBreaches, millilitresNeeded } from './rules'

const catalogue = catalogueSchema.parse(catalogueFile)
const product = (id: string) => catalogue.find((each) => each.id === id)!
const [base, top] = [product('cladonia-base'), product('tern-top')]

/** A plan nothing speaks against. */
const SOUND: CoatingPlan = {
  paintSystem: 'clear-over-base',
  layers: [base, top],
  surfaces: [],
  residue: 'none',
  treatments: [],
  film: 'before-coating',
  areaM2: 9,
  bottles: [
    { productId: base.id, millilitres: 50, closedMonths: 2 },
    { productId: top.id, millilitres: 50, openMonths: 1 },
  ],
}
const earlier = (kind: CoatingPlan['treatments'][number]['kind']) => ({
  treatments: [{ kind, what: '', year: '' }],
})

/** What breaks each rule, and it alone where it can. */
const BREAKS: Record<string, Partial<CoatingPlan>> = {
  'strong-solvent-on-single-stage': { paintSystem: 'single-stage' },
  'coating-over-all-in-one': { residue: 'all-in-one' },
  'film-after-coating': { film: 'after-coating' },
  'not-for-paint': { layers: [{ ...base, surfaces: ['glass'] }, top] },
  'not-for-this-surface': { surfaces: [{ surface: 'glass', product: base }] },
  'out-of-conditions': { climate: { airC: 6, rhPercent: 55, panelC: 12 } },
  'top-without-base': { layers: [top] },
  'base-over-top': { layers: [base, top, base] },
  'bare-metal': { paintSystem: 'bare-metal' },
  'old-coating-first': earlier('coating'),
  'wax-or-sealant-first': earlier('wax'),
  'fresh-respray': { freshPanels: 2 },
  'respray-undated': earlier('respray'),
  'bottle-too-old': {
    bottles: [
      { productId: base.id, millilitres: 500, closedMonths: 13 },
      { productId: top.id, millilitres: 50, openMonths: 1 },
    ],
  },
  'too-little-in-the-bottle': { bottles: [{ productId: base.id, millilitres: 500, closedMonths: 1 }] },
}

test('a respray of years ago is no fresh paint; one nobody dated may be', () => {
  const found = (year: string) =>
    coatingBreaches({ ...SOUND, year: 2027, treatments: [{ kind: 'respray', what: '', year }] }).map(
      ({ id }) => id,
    )
  expect(found('2027')).toEqual(['respray-undated'])
  expect(found('about 2026')).toEqual(['respray-undated'])
  expect(found('')).toEqual(['respray-undated'])
  expect(found('2019')).toEqual([])
  expect(found('about 2019')).toEqual([])
})

test('a sound plan breaks nothing', () => expect(coatingBreaches(SOUND)).toEqual([]))

test.each(COATING_RULES.map(({ id }) => id))('%s is broken by its case', (id) => {
  const [found] = coatingBreaches({ ...SOUND, ...BREAKS[id] }).filter((rule) => rule.id === id)
  expect(found).toBeDefined()
})

test('every breach is returned, the stops first', () => {
  const broken = coatingBreaches({
    ...SOUND,
    paintSystem: 'single-stage',
    residue: 'all-in-one',
    ...earlier('coating'),
  })
  expect(broken.map(({ id }) => id)).toEqual([
    'strong-solvent-on-single-stage',
    'coating-over-all-in-one',
    'old-coating-first',
  ])
})

test('protection without a coating breaks none of the rules of coatings', () => {
  for (const broken of [
    earlier('coating'),
    { residue: 'all-in-one' as const },
    { paintSystem: 'single-stage' as const },
  ])
    expect(coatingBreaches({ ...SOUND, layers: [], ...broken })).toEqual([])
})

test('a shop that keeps no stock is not asked about bottles', () => {
  const { bottles: _, ...plan } = SOUND
  expect(coatingBreaches(plan)).toEqual([])
})

test('millilitres add up over layers of one product', () => {
  const needed = millilitresNeeded({ layers: [base, top, top], surfaces: [], areaM2: 10 })
  expect(needed.get(base)).toBeCloseTo(10 * base.mlPerM2, 9)
  expect(needed.get(top)).toBeCloseTo(20 * top.mlPerM2, 9)
})
