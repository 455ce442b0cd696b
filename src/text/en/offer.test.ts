import { describe, expect, test } from 'vitest'
import { vehicleFrontier } from '@/core/correction'
import { freeSettings } from '@/core/offer'
import { offerInput, template } from '@/core/offer/offer.fixture'
import { panelsOf } from '@/core/vehicle'
import { DUBLIN, OHIO } from '../region.fixture'
import { proposalText, whyThis } from './offer'

describe('why this and not the next', () => {
  const input = offerInput({ thin: ['roof'] })
  const settings = freeSettings(template('headland'), input)
  const frontier = vehicleFrontier(input.judgement.panels, settings)
  const ways = (id: string) => frontier.panels.find(({ judged }) => judged.panel.id === id)!
  const why = (id: string, key: string, region = DUBLIN) =>
    whyThis(region, ways(id).all.find(({ method }) => method.key === key)!, ways(id).all)
  test('names the paint that is missing, as the shop measures it', () => {
    expect(why('roof', 'leave')).toMatch(
      /^Light polish would take \d\.\d µm, more than this panel can spare\.$/,
    )
    expect(why('roof', 'leave', OHIO)).toMatch(/would take 0\.\d+ mil, more/)
  })
  test('names the rule that forbids it', () => {
    expect(why('front-bumper', 'one-step-cut')).toContain('not meant for this material')
    // Where something stronger is meant for the paint, what is not meant for it is no reason.
    expect(why('bonnet', 'light-polish')).toMatch(/^One-step polish would gain/)
  })
  test('names what more would win, and what it costs', () => {
    expect(why('bonnet', 'one-step-polish')).toMatch(
      /^One-step cut and finish would gain \d+\.\d points here for \d\.\d µm and \d+ min more/,
    )
  })
  test('says of a stronger one that wins nothing what it costs, and never less than nothing', () => {
    const { all } = ways('bonnet')
    const option = { ...all.find(({ method: { key } }) => key === 'two-step')!, broken: [] }
    const by = (um: number, minutes: number, points: number) =>
      whyThis(DUBLIN, option, [
        option,
        {
          ...option,
          method: { ...option.method, key: 'hand', name: 'By hand' },
          removalUm: option.removalUm + um,
          minutes: option.minutes + minutes,
          indexAfter: option.indexAfter + points,
        },
      ])
    expect(by(-0.4, 10, -1.2)).toBe('By hand would leave this panel no better, for 10 min more.')
    expect(by(0.2, -3, 0)).toBe('By hand would leave this panel no better, for 0.2 µm more.')
    expect(by(0.2, 10, 0.5)).toBe(
      'By hand would cost 0.2 µm and 10 min more for a difference nobody sees (0.5 points).',
    )
    expect(by(0, 10, 2)).toMatch(/^By hand would gain 2.0 points here for 10 min more, /)
  })
  test('has an answer for every process on every panel, with a full stop', () => {
    for (const { id } of panelsOf('saloon'))
      for (const option of ways(id).all) expect(whyThis(DUBLIN, option, ways(id).all)).toMatch(/\.$/)
  })
})

test('what asks for an extra is said with where it was seen', () => {
  expect(proposalText(DUBLIN, { key: 'headlamps', where: ['headlamp-left', 'headlamp-right'] })).toBe(
    'Cloudy: left headlamp and right headlamp',
  )
  expect(proposalText(OHIO, { key: 'touch-up', where: ['bonnet'] })).toBe(
    'Chips or scratches that catch a nail: hood',
  )
})
