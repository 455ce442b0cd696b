import { describe, expect, test } from 'vitest'
import { toJobId } from '@/core/ids'
import { emptyMeasured, emptyRecord, type Measured, removalBetween } from '@/core/survey'
import { instantOrThrow, localDayOrThrow } from '@/core/time'
import { panelsOf } from '@/core/vehicle'
import { DUBLIN } from '@/text/region.fixture'
import { differenceFace, roundFace } from './panel-face'
import { changeOf, hasReadings, meanOf, roundsOf } from './rounds'

const read = (...values: number[]): Measured => ({
  ...emptyMeasured(),
  readings: { bonnet: values.map((um) => ({ um })) },
})
const earlier = (before: Measured, after: Measured) => [
  {
    jobId: toJobId('old'),
    day: localDayOrThrow('2025-04-12'),
    at: instantOrThrow('2025-04-12T08:00:00Z'),
    before,
    after,
  },
]
const bonnet = panelsOf('estate').find(({ id }) => id === 'bonnet')!

describe('rounds on the plan', () => {
  test('the round before is always there, the one after as soon as it may be taken', () => {
    expect(roundsOf(DUBLIN, emptyRecord(), [], false).map(({ id }) => id)).toEqual(['before'])
    expect(roundsOf(DUBLIN, emptyRecord(), [], true).map(({ id }) => id)).toEqual(['before', 'after'])
    expect(roundsOf(DUBLIN, { ...emptyRecord(), after: read(117) }, [], false).map(({ id }) => id)).toEqual([
      'before',
      'after',
    ])
  })
  test('of earlier visits only what was read is offered, under its day, before this visit', () => {
    const rounds = roundsOf(DUBLIN, emptyRecord(), earlier(read(121), emptyMeasured()), false)
    expect(rounds.map(({ id, name }) => [id, name])).toEqual([
      ['old-before', '12 Apr 2025, before'],
      ['before', 'This visit, before'],
    ])
    expect(rounds.map(hasReadings)).toEqual([true, false])
  })
  test('the mean of a round leaves out what was set aside', () => {
    const measured: Measured = {
      ...emptyMeasured(),
      readings: { bonnet: [{ um: 110 }, { um: 114 }, { um: 400, settled: 'set-aside' }] },
    }
    expect(meanOf(measured, 'bonnet')).toBe(112)
    expect(meanOf(measured, 'roof')).toBeUndefined()
  })
})

describe('what has gone', () => {
  const face = (before: number[], after: number[]) =>
    differenceFace(DUBLIN, bonnet, removalBetween(before, after))
  test('a clear loss stands plain, one within the error in brackets', () => {
    const twelve = (um: number) => Array.from({ length: 12 }, (_, at) => um + (at % 2))
    expect(face(twelve(120), twelve(114))).toMatchObject({
      text: '−6.0',
      label: expect.stringMatching(/^Bonnet: −6\.0 ± [01]\.\d µm$/),
    })
    expect(face([118, 124, 120], [117, 122, 121])).toMatchObject({ text: '(−0.7)' })
  })
  test('thicker than before is said as such, and colours nothing', () => {
    const { text, fill } = face(Array(12).fill(110), Array(12).fill(116))
    expect([text, fill]).toEqual(['+6.0', 'color-mix(in oklab, var(--c-bracken) 0%, var(--c-sheet))'])
  })
  test('the plan says of a panel what the panel says of itself: at the same spots, where they are marked', () => {
    const values = (um: number[]) => um.map((each) => ({ um: each }))
    const survey = {
      ...emptyRecord(),
      before: { ...emptyMeasured(), readings: { bonnet: values([119, 120, 121, 125, 126, 127]) } },
      after: { ...emptyMeasured(), readings: { bonnet: values([117, 118, 119]) } },
    }
    const rounds = roundsOf(DUBLIN, survey, [], true)
    expect(changeOf('bonnet', rounds, ['bonnet'])).toMatchObject({ removedUm: 2, sameSpots: true })
    expect(changeOf('bonnet', rounds, [])).toMatchObject({ removedUm: 5, sameSpots: false })
    // An earlier visit was read wherever the probe happened to be.
    const earlier = [
      {
        jobId: toJobId('j'),
        at: instantOrThrow('2026-01-16T09:00:00Z'),
        day: localDayOrThrow('2026-01-16'),
        before: survey.before,
        after: emptyMeasured(),
      },
    ]
    const all = roundsOf(DUBLIN, survey, earlier, true)
    expect(changeOf('bonnet', all, ['bonnet'])).toMatchObject({ removedUm: 5, sameSpots: false })
    expect(changeOf('roof', all, [])).toBeUndefined()
  })
  test('a panel read in one round only has no difference', () => {
    expect(face([120, 121], [])).toMatchObject({ text: '', label: 'Bonnet: not read in both rounds' })
    expect(roundFace(DUBLIN, bonnet, undefined).label).toBe('Bonnet: not read')
  })
})
