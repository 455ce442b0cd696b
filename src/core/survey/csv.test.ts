import { expect, test } from 'vitest'
import { panelsOf } from '../vehicle'
import { readingsCsvErrorText, readingsFromCsv } from '.'

const panels = panelsOf('estate')
const read = (text: string) => readingsFromCsv(text, panels)
const words = (text: string) => {
  const result = read(text)
  return result.ok ? [] : result.error.map(readingsCsvErrorText)
}

test('panels are found by id or by name, in µm or mil, with a point or a comma', () => {
  expect(read('panel,reading_um\nbonnet,104.5\n"Left front door",99\n')).toEqual({
    ok: true,
    value: { bonnet: [104.5], 'front-door-left': [99] },
  })
  expect(read('panel;mils\nbonnet;4\nbonnet;5,0')).toMatchObject({ ok: true })
  const mil = read('panel,mil\nbonnet,4')
  expect(mil.ok && mil.value.bonnet?.[0]).toBeCloseTo(101.6, 9)
})

test('every fault is named with its line and column', () => {
  expect(words('panel,reading\nbonnet,-5\nroof,99999\nbonnet,abc\nwing,100')).toEqual([
    'Line 2, column 2: -5 µm cannot be. Plausible readings lie between 0 and 5000 µm.',
    'Line 3, column 2: 99999 µm cannot be. Plausible readings lie between 0 and 5000 µm.',
    'Line 4, column 2: “abc” is not a number. Write a reading in µm, such as 104 or 104.5.',
    expect.stringContaining('Line 5, column 1: “wing” is no panel of this shape.'),
  ])
})

test('a table without header, without readings or with an open quote is refused in words', () => {
  expect(words('')[0]).toContain('holds no readings')
  expect(words('panel,reading\n')[0]).toContain('holds no readings')
  expect(words('bonnet,104\n')[0]).toContain('no column for the panel')
  expect(words('panel,note\nbonnet,x')[0]).toContain('no column for the reading')
  expect(words('panel,reading\n"bonnet,104\n')[0]).toContain('quotation mark')
})
