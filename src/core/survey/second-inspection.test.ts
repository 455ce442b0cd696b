import { describe, expect, test } from 'vitest'
import { judgeRecord } from './judge'
import { differingEntries, mergeSurveys } from './merge'
import { allDefects, emptyRecord, type NotedDefect, type SurveyRecord, withAgain } from './record'

const swirls: NotedDefect = { kind: 'swirls', severity: 2, extentPercent: 40, catchesNail: false }
const scratch: NotedDefect = { kind: 'scratches', severity: 2, extentPercent: 2, catchesNail: false }
const first: SurveyRecord = { ...emptyRecord(), defects: { bonnet: [swirls] }, inspected: ['bonnet', 'roof'] }
const second: SurveyRecord = {
  ...withAgain(first, ['bonnet', 'roof']),
  found: { bonnet: [scratch], roof: [scratch] },
}

describe('the second inspection', () => {
  test('what it finds counts in the condition, after what was found first, and leaves the first as it was', () => {
    expect(allDefects(second)).toEqual({ bonnet: [swirls, scratch], roof: [scratch] })
    expect(second.defects).toEqual(first.defects)
    const index = (record: typeof first, id: string) =>
      judgeRecord(
        { shape: 'saloon', paintSystem: 'clear-over-base' },
        { school: 'both' },
        record,
        {},
      ).panels.find(({ panel }) => panel.id === id)!.condition.index
    expect(index(second, 'bonnet')).toBeLessThan(index(first, 'bonnet'))
    expect(index(second, 'roof')).toBeLessThan(index(first, 'roof'))
  })
  test('two tablets in it are brought together panel by panel', () => {
    const mine = { ...withAgain(first, ['bonnet']), found: { bonnet: [scratch] } }
    const theirs = withAgain(first, ['roof'])
    const { merged, conflicts } = mergeSurveys(first, mine, theirs)
    expect(conflicts).toEqual([])
    expect(merged.again.toSorted()).toEqual(['bonnet', 'roof'])
    expect(merged.found).toEqual({ bonnet: [scratch] })
  })
  test('it is no change of what was agreed on', () => {
    expect(differingEntries(first, second).every((entry) => /^(found|again)\//.test(entry))).toBe(true)
  })
  test('a page of before, which knows of none, reads as none', () => {
    const { found: _, again: __, ...before } = first
    expect(allDefects(before)).toEqual(first.defects)
    expect(mergeSurveys(first, before as SurveyRecord, first).merged.found).toEqual({})
  })
})
