import { expect, test } from 'vitest'
import { expectationText } from '../expectation'
import { DUBLIN } from '../region.fixture'
import { isSeveral } from './the-panels'

test('pillars are several though they are marked as one, and the sentence goes on so', () => {
  expect(isSeveral({ panels: ['pillars'] })).toBe(true)
  expect(isSeveral({ panels: ['bonnet'] })).toBe(false)
  expect(isSeveral({ panels: ['bonnet'], everywhere: true })).toBe(true)
  const left = (panel: string) =>
    expectationText(DUBLIN, {
      kind: 'stays',
      code: 'left',
      why: { code: 'nothing-to-spare' },
      panels: [panel],
      everywhere: false,
    })
  expect(left('pillars')).toBe(
    'The pillars will not be polished: they have no paint to spare. We will clean and protect them.',
  )
  expect(left('bonnet')).toMatch(/it has no paint to spare\. We will clean and protect it\.$/)
})
