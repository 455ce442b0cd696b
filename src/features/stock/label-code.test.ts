import fc from 'fast-check'
import { expect, test } from 'vitest'
import { codeOfLabel, labelText } from './label-code'

test('a label reads back as the number it was printed for', () => {
  fc.assert(fc.property(fc.nat(1_000_000), (code) => codeOfLabel(labelText(code)) === code))
})

test('any other code is none of ours', () => {
  for (const text of [
    '',
    '12',
    'fern-yard:bottle:',
    'fern-yard:bottle:1x',
    'https://example.test/fern-yard:bottle:1',
  ])
    expect(codeOfLabel(text)).toBeUndefined()
})
