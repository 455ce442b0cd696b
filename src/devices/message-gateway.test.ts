import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { instantOrThrow, plusMinutes } from '@/core/time'
import {
  GatewaySilent,
  type MessageGateway,
  type Outgoing,
  SimulatedGateway,
  STEADY_LINE,
} from './message-gateway'

/** What any carrier must keep to, the simulated one and whatever takes its place. */

const NOW = instantOrThrow('2027-01-13T10:00:00Z')
let folder: string
beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-gateway-'))
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const message = (key: string, more: Partial<Outgoing> = {}): Outgoing => ({
  key,
  channel: 'email',
  address: `${key}@inchmoyle.example`,
  subject: 'Your car',
  text: 'Hello',
  ...more,
})

describe.each([
  ['simulated, on a steady line', (file: string) => new SimulatedGateway(file, STEADY_LINE)],
  [
    'simulated, opened twice on one file',
    (file: string) => {
      new SimulatedGateway(file).close()
      return new SimulatedGateway(file)
    },
  ],
] as const)('the carrier (%s)', (name, open) => {
  let gateway: MessageGateway & { close(): void }
  beforeAll(() => {
    gateway = open(path.join(folder, `${name.replace(/\W/g, '')}.db`))
  })
  afterAll(() => gateway.close())
  test('answers the same key with the same id, and keeps the first text', async () => {
    const first = await gateway.send(message('k1'), NOW)
    const again = await gateway.send(message('k1', { text: 'Another text' }), plusMinutes(NOW, 5))
    expect(again).toEqual(first)
    expect((await gateway.send(message('k2'), NOW)).id).not.toBe(first.id)
  })
  test('keys that begin alike are not alike', async () => {
    const ids = await Promise.all(
      ['door', 'door-left', 'door-left ', 'Door'].map(
        async (key) => (await gateway.send(message(key), NOW)).id,
      ),
    )
    expect(new Set(ids).size).toBe(4)
  })
  test('tells nothing of what it does not know, and nothing before it has happened', async () => {
    expect(await gateway.news(['never-sent'], plusMinutes(NOW, 1e6))).toEqual([])
    const { id } = await gateway.send(message('early'), NOW)
    expect(await gateway.news([id], NOW)).toEqual([])
  })
  test('delivers or bounces every message, once, and tells the same again', async () => {
    const ids: string[] = []
    for (let at = 0; at < 300; at++) ids.push((await gateway.send(message(`many-${at}`), NOW)).id)
    const later = plusMinutes(NOW, 60)
    const news = await gateway.news(ids, later)
    expect(await gateway.news(ids, later)).toEqual(news)
    const ends = news.filter(({ kind }) => kind !== 'replied')
    expect(new Set(ends.map(({ id }) => id)).size).toBe(300)
    expect(ends).toHaveLength(300)
    const bounced = new Set(news.filter(({ kind }) => kind === 'bounced').map(({ id }) => id))
    expect(bounced.size).toBeGreaterThan(3)
    expect(bounced.size).toBeLessThan(40)
    expect(news.filter(({ kind, id }) => kind === 'replied' && bounced.has(id))).toEqual([])
    expect(news.filter(({ kind }) => kind === 'replied').length).toBeGreaterThan(10)
  })
})

test('a line that breaks after the message was taken has taken it, and says so when asked again', async () => {
  const file = path.join(folder, 'broken.db')
  const broken = new SimulatedGateway(file, { before: 0, after: 1 })
  await expect(broken.send(message('lost'), NOW)).rejects.toBeInstanceOf(GatewaySilent)
  expect(broken.taken()).toHaveLength(1)
  broken.close()
  const mended = new SimulatedGateway(file)
  expect((await mended.send(message('lost'), NOW)).id).toBe(mended.taken()[0]!.id)
  expect(mended.taken()).toHaveLength(1)
  mended.close()
})
