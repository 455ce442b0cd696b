import { describe, expect, test } from 'vitest'
import { toOperationId } from '../ids'
import { makeOffer } from './offer'
import { offerInput, template, vendors } from './offer.fixture'
import { apartIn, followers } from './side-by-side'

const { plan } = makeOffer(template('boathouse'), offerInput({}, { vendors }), {
  extras: [
    { key: 'interior', count: 1 },
    { key: 'trim', count: 2 },
  ],
})
const id = toOperationId
const linksOf = (step: string) =>
  plan.links.flatMap(({ from, to }) => (from === step ? [`> ${to}`] : to === step ? [`< ${from}`] : []))

describe('work beside the paint work', () => {
  test('the cabin is done by somebody else any time between the wash and the last look', () => {
    expect(linksOf('extra-interior')).toEqual(['< wash', '> finish'])
  })
  test('what is beside the paint is done once it is taped off and before anything is coated', () => {
    expect(linksOf('extra-trim')).toEqual(['< mask', '> surface-glass'])
  })
  test('wheels are coated while they are off, once they are back from where they were refinished', () => {
    expect(linksOf('surface-wheels').toSorted()).toEqual(
      ['< extra-wheels-off', '< vendor-tam-wheels', '> wheels-on'].toSorted(),
    )
  })
  test('the paint itself is one chain: every step of it follows the one before', () => {
    const paint = ['wash', 'mask', 'cut', 'refine', 'wipe', 'layer-1', 'dry', 'wheels-on', 'finish']
    const after = followers(plan)
    for (const [at, step] of paint.slice(1).entries()) expect(after.get(id(paint[at]!))).toContain(step)
  })
  test('nobody raises dust beside a coat that lies open or is still soft', () => {
    const pairs = apartIn(plan).map((pair) => pair.join(' '))
    for (const coat of ['surface-glass', 'wipe', 'layer-1', 'dry'])
      expect(pairs).toContain(`extra-interior ${coat}`)
    for (const dust of ['cut', 'refine', 'extra-interior']) expect(pairs).toContain(`${dust} surface-wheels`)
    // What follows it anyway needs no rule.
    expect(pairs.some((pair) => pair === 'cut layer-1')).toBe(false)
  })
})
