import { describe, expect, test } from 'vitest'
import { readTable } from '../table'
import { panelsOf } from '../vehicle'
import { guessMapping, MOST_LINES, panelTexts, readingsFromCsv, readingsFromTable } from './csv'

const panels = panelsOf('estate')
const read = (text: string) => readingsFromCsv(text, panels)
const faults = (text: string) => {
  const result = read(text)
  return result.ok ? [] : result.error
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
  expect(faults('panel,reading\nbonnet,-5\nroof,99999\nbonnet,abc\nwing,100')).toMatchObject([
    { code: 'out-of-range', line: 2, column: 2, valueUm: -5 },
    { code: 'out-of-range', line: 3, column: 2, valueUm: 99_999, maxUm: 5000 },
    { code: 'not-a-number', line: 4, column: 2, text: 'abc' },
    { code: 'unknown-panel', line: 5, column: 1, text: 'wing' },
  ])
})

test.each([
  ['', { code: 'empty' }],
  ['panel,reading\n', { code: 'empty' }],
  ['place of rest,104\n', { code: 'no-column', wanted: 'panel' }],
  ['panel,note\nbonnet,x', { code: 'no-column', wanted: 'reading' }],
  ['panel,reading\n"bonnet,104\n', { code: 'malformed' }],
])('a table without readings or with an open quote is refused: %j', (text, fault) => {
  expect(faults(text)[0]).toMatchObject(fault)
})

describe('tables from any gauge', () => {
  const tableOf = (source: string | Uint8Array) => {
    const table = readTable(source, MOST_LINES)
    if (!table.ok) throw new Error(table.error.code)
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

  test('what is no table is refused', () => {
    const refusal = (source: string | Uint8Array) => {
      const table = readTable(source, MOST_LINES)
      return table.ok ? undefined : table.error
    }
    expect(refusal(new Uint8Array())).toEqual({ code: 'empty' })
    const picture = [0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0, 0, 0, 13]
    expect(refusal(new Uint8Array(picture))).toEqual({ code: 'not-text' })
    expect(refusal(new Uint8Array([255, 200, 3, 1, 2, 250]))).toEqual({ code: 'not-text' })
    expect(refusal('bonnet,104\n'.repeat(1_000_000))).toEqual({
      code: 'too-long',
      lines: 1_000_001,
      mostLines: MOST_LINES,
    })
  })
})
