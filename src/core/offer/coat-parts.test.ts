import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { panelsOf, SHAPES } from '../vehicle'
import { coatParts, partsFor, shareOfLayer } from './coat-parts'
import { makeOffer } from './offer'
import { offerInput, template } from './offer.fixture'

const areaOf = (panels: readonly { areaM2: number }[]) => panels.reduce((sum, { areaM2 }) => sum + areaM2, 0)

describe('the parts of a large vehicle', () => {
  test('every panel is in one of them, in walking order, and none is empty', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SHAPES), fc.integer({ min: 1, max: 9 }), (shape, count) => {
        const panels = panelsOf(shape)
        const parts = coatParts(panels, count)
        expect(parts.length).toBeLessThanOrEqual(Math.max(count, 1))
        expect(parts.flatMap((part) => part.panels)).toEqual(panels.map(({ id }) => id))
        expect(parts.every((part) => part.panels.length > 0)).toBe(true)
        expect(areaOf(parts)).toBeCloseTo(areaOf(panels))
      }),
    )
  })
  test('they are as alike as whole panels allow: the largest is no larger than in any other cut', () => {
    for (const shape of SHAPES) {
      const panels = panelsOf(shape)
      const largest = Math.max(...coatParts(panels, 2).map(({ areaM2 }) => areaM2))
      const cuts = panels.slice(1).map((_, at) => [panels.slice(0, at + 1), panels.slice(at + 1)])
      expect(largest).toBeCloseTo(Math.min(...cuts.map((cut) => Math.max(...cut.map(areaOf)))))
    }
  })
  test('there are no more than are needed', () => {
    expect([partsFor(200, 240, 3), partsFor(241, 240, 3), partsFor(640, 240, 3)]).toEqual([1, 2, 3])
    // A single layer has no window to meet: two can apply it.
    expect([partsFor(480, 240, 1), partsFor(481, 240, 1)]).toEqual([1, 2])
  })
})

describe('a motorhome under three layers', () => {
  const { plan } = makeOffer(template('lantern'), offerInput({ shape: 'motorhome' }))
  const layers = plan.operations.filter(({ kind }) => kind === 'layer')
  const panels = panelsOf('motorhome')
  test('is coated part by part: each is wiped, and gets all its layers before the next', () => {
    expect(
      plan.operations.flatMap(({ id, kind }) => (kind === 'wipe' || kind === 'layer' ? [id] : [])),
    ).toEqual([
      'wipe',
      'layer-1',
      'layer-2',
      'layer-3',
      'wipe-part-2',
      'layer-1-part-2',
      'layer-2-part-2',
      'layer-3-part-2',
      'wipe-part-3',
      'layer-1-part-3',
      'layer-2-part-3',
      'layer-3-part-3',
    ])
    expect(layers.every(({ minutes, people }) => minutes <= 240 && people === 1)).toBe(true)
  })
  test('each window is between the layers of one part, and the wipe is before its own first', () => {
    const link = (from: string, to: string) =>
      plan.links.find((each) => each.from === from && each.to === to)!
    expect(link('layer-1-part-2', 'layer-2-part-2').max).toBe(link('layer-1', 'layer-2').max)
    expect(link('layer-3', 'wipe-part-2')).not.toHaveProperty('max')
    expect(link('wipe-part-2', 'layer-1-part-2').max).toBe(120)
  })
  test('the millilitres of a layer are shared by its parts', () => {
    const shares = layers
      .filter(({ layer }) => layer === 2)
      .map((operation) => shareOfLayer(operation, plan.operations, panels))
    expect(shares).toHaveLength(3)
    expect(shares[0]! + shares[1]! + shares[2]!).toBeCloseTo(1)
    expect(Math.min(...shares)).toBeGreaterThan(0.2)
  })
  test('a saloon is coated at once', () => {
    const saloon = makeOffer(template('lantern'), offerInput()).plan.operations
    const [first] = saloon.filter(({ kind }) => kind === 'layer')
    expect(first).not.toHaveProperty('panels')
    expect(shareOfLayer(first!, saloon, panelsOf('saloon'))).toBe(1)
  })
})
