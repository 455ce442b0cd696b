import { expect, test } from 'vitest'
import { DUBLIN } from '../region.fixture'
import { findingText, overruledText } from './survey'

test('what the gauge says is no reason for what was told against it', () => {
  const was = { kind: 'original', aboveBaselineUm: -0.2 } as never
  const text = overruledText(DUBLIN, { was, why: 'overspray in the shut' })
  expect(text).toBe(
    `Told against the gauge: overspray in the shut. The gauge says “original”: ${findingText(DUBLIN, was)}`,
  )
  expect(text).not.toMatch(/second coat/)
})
