import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { z } from 'zod'
import { BadInput, numberOption, pathText, readArguments, readJson, readText } from './input'

let folder: string
beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-input-'))
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const faults = (run: () => unknown): readonly string[] => {
  try {
    run()
  } catch (error) {
    if (error instanceof BadInput) return error.faults
    throw error
  }
  return []
}
const options = { temp: { type: 'string' }, rh: { type: 'string' } } as const
const usage = { count: 1, usage: 'dew FILE' }

describe('arguments', () => {
  test('a negative number is a value, as people type it', () => {
    expect(readArguments(['x', '--temp', '-5', '--rh', '60'], options, usage).values).toMatchObject({
      temp: '-5',
      rh: '60',
    })
    expect(readArguments(['--temp=-5.5', 'x'], options, usage).values).toMatchObject({ temp: '-5.5' })
  })
  test('an unknown option, and too few or too many files, are refused with the usage', () => {
    for (const args of [['x', '--dew', '1'], [], ['x', 'y']])
      expect(faults(() => readArguments(args, options, usage)).at(-1)).toBe('Usage: dew FILE')
  })
  test('a number must be one, and must be there unless something stands in for it', () => {
    expect(numberOption({ temp: '21.5' }, 'temp')).toBe(21.5)
    expect(numberOption({}, 'temp', 7)).toBe(7)
    expect(faults(() => numberOption({}, 'temp'))).toEqual(['--temp is missing.'])
    for (const text of ['warm', '', '1e999', 'NaN'])
      expect(faults(() => numberOption({ temp: text }, 'temp'))[0]).toContain('is not a number')
  })
})

describe('files', () => {
  const file = (name: string, content: string) => {
    const place = path.join(folder, name)
    writeFileSync(place, content)
    return place
  }
  test('one that is missing, or is a folder, is said so', () => {
    expect(faults(() => readText(path.join(folder, 'gone')))[0]).toContain('there is no such file')
    expect(faults(() => readText(folder))[0]).toContain('it is a folder')
  })
  test('JSON that is broken is said so, and every fault of its content has its path', () => {
    const schema = z.object({ jobs: z.array(z.object({ minutes: z.int() })) })
    expect(faults(() => readJson(file('a.json', '{'), schema))[0]).toContain('this is not JSON')
    const found = faults(() =>
      readJson(file('b.json', '{"jobs":[{"minutes":1},{"minutes":"x"},{}]}'), schema),
    )
    expect(found).toHaveLength(2)
    expect(found[0]).toContain('jobs.1.minutes')
    expect(found[1]).toContain('jobs.2.minutes')
    expect(readJson(file('c.json', '{"jobs":[]}'), schema)).toEqual({ jobs: [] })
  })
  test('a path reads as one points into the file', () => {
    expect(pathText(['jobs', 0, 'operations', 2])).toBe('jobs.0.operations.2')
    expect(pathText([])).toBe('(whole file)')
  })
})
