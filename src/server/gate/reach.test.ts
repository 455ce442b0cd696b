import { describe, expect, test } from 'vitest'
import { reachOf } from './reach'

const own = () => ['192.168.1.20', '10.0.0.5']

describe('where other machines reach the shop', () => {
  test('nowhere, while it listens to this machine alone', () => {
    for (const HOST of [undefined, '127.0.0.1', 'localhost', '::1'])
      expect(reachOf({ HOST, HTTPS: 'on' }, own).origins).toEqual([])
  })
  test('by its names first, then by its addresses', () => {
    expect(
      reachOf({ HOST: '0.0.0.0', PORT: '443', HTTPS: 'on', FERN_YARD_NAMES: 'yard.lan' }, own).origins,
    ).toEqual(['https://yard.lan', 'https://192.168.1.20', 'https://10.0.0.5'])
    expect(reachOf({ HOST: '0.0.0.0' }, own)).toEqual({
      origins: ['http://192.168.1.20:3210', 'http://10.0.0.5:3210'],
      isEncrypted: false,
    })
  })
  test('at the one address it listens at, where it was given one', () => {
    expect(reachOf({ HOST: '10.0.0.5', HTTPS: 'on' }, own).origins).toEqual(['https://10.0.0.5:3210'])
    expect(reachOf({ HOST: 'fd00::2' }, own).origins).toEqual(['http://[fd00::2]:3210'])
  })
})
