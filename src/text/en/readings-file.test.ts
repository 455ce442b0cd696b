import { expect, test } from 'vitest'
import { MOST_LINES, readingsFromCsv } from '@/core/survey'
import { readTable } from '@/core/table'
import { panelsOf } from '@/core/vehicle'
import { DUBLIN, OHIO } from '../region.fixture'
import { readingsFaultText, readingsFileText } from './readings-file'

const told = (text: string, region = DUBLIN) => {
  const read = readingsFromCsv(text, panelsOf('estate'))
  return read.ok ? [] : read.error.map((error) => readingsFaultText(region, error))
}

test('every fault is told with its line and column, in the units of the shop', () => {
  expect(told('panel,reading\nbonnet,-5\nroof,99999\nbonnet,abc\nwing,100')).toEqual([
    'Line 2, column 2: −5 µm cannot be. Plausible readings lie between 0 and 5,000 µm.',
    'Line 3, column 2: 99,999 µm cannot be. Plausible readings lie between 0 and 5,000 µm.',
    'Line 4, column 2: “abc” is not a number. Write a reading such as 104 or 104.5 for µm, 4.1 for mil.',
    expect.stringContaining('Line 5, column 1: “wing” is no panel of this shape.'),
  ])
  expect(told('panel,reading\nroof,99999', OHIO)[0]).toContain('between 0 and 196.9 mil')
})

test('what holds no readings is told with what it needs', () => {
  expect(told('')[0]).toContain('holds no readings')
  expect(told('panel,note\nbonnet,x')[0]).toContain('no column for the reading')
  expect(told('panel,reading\n"bonnet,104\n')[0]).toContain('quotation mark')
})

test('a file that is far too long says how long it is, and what to do', () => {
  const table = readTable('bonnet,104\n'.repeat(1_000_000), MOST_LINES)
  expect(table.ok ? '' : readingsFileText(DUBLIN, table.error)).toBe(
    'The file has 1,000,001 lines; the readings of one vehicle come to 20,000 at most. Export this vehicle alone.',
  )
})
