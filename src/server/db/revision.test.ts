import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { expect, test } from 'vitest'
import { instantOrThrow } from '@/core/time'
import { connect, openDatabase } from './connection'
import { revision } from './revision'

const NOW = instantOrThrow('2027-01-13T10:20:10Z')

test('a revision changes with every commit and every minute, and with nothing else', async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-'))
  const file = path.join(folder, 'shop.sqlite')
  const writer = await openDatabase(file)
  const reader = connect(file, { readOnly: true })
  const first = await revision(reader, NOW)
  await reader('jobs').select()
  expect(await revision(reader, instantOrThrow('2027-01-13T10:20:59Z'))).toBe(first)
  expect(await revision(reader, instantOrThrow('2027-01-13T10:21:00Z'))).not.toBe(first)
  await writer('shop').update({ version: 7 })
  const second = await revision(reader, NOW)
  expect(second).not.toBe(first)
  const undone = writer.transaction(async (trx) => {
    await trx('shop').update({ version: 8 })
    throw new Error('no')
  })
  await expect(undone).rejects.toThrow('no')
  expect(await revision(reader, NOW)).toBe(second)
  await reader.destroy()
  await writer.destroy()
  rmSync(folder, { recursive: true })
})
