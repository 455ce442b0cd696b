import { describe, expect, test } from 'vitest'
import { readTable } from '../table'
import { panelsOf } from '../vehicle'
import { guessMapping, panelTexts, readingsCsvErrorText, readingsFromCsv, readingsFromTable } from './csv'
import { MOST_LINES, tableErrorText } from './table'

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

test('a table without readings or with an open quote is refused in words', () => {
  expect(words('')[0]).toContain('holds no readings')
  expect(words('panel,reading\n')[0]).toContain('holds no readings')
  expect(words('place of rest,104\n')[0]).toContain('no column for the panel')
  expect(words('panel,note\nbonnet,x')[0]).toContain('no column for the reading')
  expect(words('panel,reading\n"bonnet,104\n')[0]).toContain('quotation mark')
})

describe('tables from any gauge', () => {
  const tableOf = (source: string | Uint8Array) => {
    const table = readTable(source, MOST_LINES)
    if (!table.ok) throw new Error(tableErrorText(table.error))
    return table.value
  }
  const bytes = (text: string, encoding: 'utf16le' | 'utf8' | 'latin1') =>
    new Uint8Array(Buffer.from(text, encoding))
  const wanted = { bonnet: [104.5, 99], roof: [87] }

  test.each([
    ['commas', 'panel,reading_um\nbonnet,104.5\nbonnet,99\nroof,87\n'],
    ['semicolons and decimal commas', 'panel;reading_um\r\nbonnet;104,5\r\nbonnet;99,0\r\nroof;87,0\r\n'],
    ['tabs', 'Panel\tThickness (µm)\nBonnet\t104.5\nBonnet\t99\nRoof\t87'],
    ['bars', 'location|dft\nbonnet|104.5\nbonnet|99\nroof|87'],
    ['no header', 'bonnet,104.5\nbonnet,99\nroof,87'],
    ['a number before the panel', '1,bonnet,104.5\n2,bonnet,99\n3,roof,87'],
    ['several readings on a line', 'part,reading 1,reading 2\nbonnet,104.5,99\nroof,87,'],
    ['units in the cells', 'panel,value\nbonnet,104.5 µm\nbonnet,99 µm\nroof,87 um'],
    ['blank lines', '\npanel,reading\n\nbonnet,104.5\n,\nbonnet,99\nroof,87\n\n'.trimStart()],
  ])('with %s', (_, text) => {
    expect(readingsFromTable(tableOf(text), guessMapping(tableOf(text), panels), panels)).toEqual({
      ok: true,
      value: wanted,
    })
  })

  test.each([
    ['UTF-8 with a mark', [0xef, 0xbb, 0xbf], 'utf8'],
    ['UTF-16 with a mark', [0xff, 0xfe], 'utf16le'],
    ['Latin 1', [], 'latin1'],
  ] as const)('in %s', (_, mark, encoding) => {
    const text = 'panel;Dicke µm\nbonnet;104,5\nbonnet;99\nroof;87'
    const source = new Uint8Array([...mark, ...bytes(text.replace('Dicke', 'thickness'), encoding)])
    expect(readingsFromCsv(source, panels)).toEqual({ ok: true, value: wanted })
  })

  test('mils are known by their header, and guessed where nothing says', () => {
    expect(guessMapping(tableOf('panel,mils\nbonnet,4.1'), panels).unit).toBe('mil')
    expect(guessMapping(tableOf('panel,value\nbonnet,4.1\nroof,3.9'), panels).unit).toBe('mil')
    expect(guessMapping(tableOf('panel,value\nbonnet,104\nroof,99'), panels).unit).toBe('um')
  })

  test('names the gauge made up are mapped by hand, or left out', () => {
    const table = tableOf('part,um\nHood,104.5\nHood,99\nTop,87\nTest foil,25')
    const mapping = guessMapping(table, panels)
    expect(panelTexts(table, { ...mapping, panelColumn: 0 })).toEqual(['Hood', 'Top', 'Test foil'])
    expect(
      readingsFromTable(
        table,
        { ...mapping, panelFor: { Hood: 'bonnet', Top: 'roof', 'Test foil': null } },
        panels,
      ),
    ).toEqual({ ok: true, value: wanted })
  })

  test('what is no table is refused in words that say what to do', () => {
    const refusal = (source: string | Uint8Array) => {
      const table = readTable(source, MOST_LINES)
      return table.ok ? '' : tableErrorText(table.error)
    }
    expect(refusal(new Uint8Array())).toContain('empty')
    expect(refusal(new Uint8Array([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0, 0, 0, 13]))).toContain(
      'not a table',
    )
    expect(refusal(new Uint8Array([255, 200, 3, 1, 2, 250]))).toContain('not a table')
    expect(refusal('bonnet,104\n'.repeat(1_000_000))).toBe(
      'The file has 1,000,001 lines; the readings of one vehicle come to 20,000 at most. Export this vehicle alone.',
    )
  })
})
