import { expect, test } from 'vitest'
import { KeptPapers, PressBusy } from './kept-papers'

const bytes = (text: string) => new TextEncoder().encode(text) as Uint8Array<ArrayBuffer>

test('the same paper is set once, however many ask for it', async () => {
  const papers = new KeptPapers()
  let set = 0
  const press = async () => bytes(`paper ${++set}`)
  const asked = await Promise.all(Array.from({ length: 200 }, () => papers.of('sheet', [{ at: 1 }], press)))
  expect(set).toBe(1)
  expect(new Set(asked).size).toBe(1)
  await papers.of('sheet', [{ at: 1 }], press)
  expect(set).toBe(1)
  await papers.of('sheet', [{ at: 2 }], press)
  await papers.of('quote', [{ at: 1 }], press)
  expect(set).toBe(3)
})

test('a crowd that wants different papers is told to come back, and nobody who was let in is dropped', async () => {
  const papers = new KeptPapers()
  let go = () => {}
  const held = new Promise<void>((resolve) => {
    go = resolve
  })
  const press = async () => {
    await held
    return bytes('paper')
  }
  const asked = Array.from({ length: 200 }, (_, at) =>
    papers.of('sheet', [at], press).then(
      () => 'set',
      (error) => (error instanceof PressBusy ? 'busy' : 'fault'),
    ),
  )
  go()
  const said = await Promise.all(asked)
  expect(said.filter((each) => each === 'set')).toHaveLength(24)
  expect(said.filter((each) => each === 'busy')).toHaveLength(176)
})

test('what could not be set is set again by who asks next', async () => {
  const papers = new KeptPapers()
  await expect(papers.of('sheet', [], () => Promise.reject(new Error('no ink')))).rejects.toThrow('no ink')
  expect(await papers.of('sheet', [], async () => bytes('paper'))).toEqual(bytes('paper'))
})
