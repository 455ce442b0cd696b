import { expect, test } from 'vitest'
import { answering, taskAmong } from './answering'
import { Beside, BrokenOff, type Hears, type Helper } from './beside'

const TASKS = {
  double: async (number: number) => 2 * number,
  fail: async () => {
    throw new Error('no')
  },
  never: () => new Promise(() => {}),
}

/** A helper in this thread; it counts how often one was begun, and whether the app waits for it. */
function pretended() {
  const seen = { begun: 0, isHeld: false }
  const begin = ({ told, ended }: Hears): Helper => {
    seen.begun++
    return {
      ask: answering(async (name) => taskAmong(TASKS, name), told),
      end: ended,
      hold: (isNeeded) => {
        seen.isHeld = isNeeded
      },
    }
  }
  return { seen, begin }
}

test('what is asked is answered each for itself, and what fails fails for who asked', async () => {
  const { seen, begin } = pretended()
  const beside = new Beside(begin)
  const answers = [beside.ask('double', 21), beside.ask('fail'), beside.ask('double', 4)]
  expect(seen.isHeld).toBe(true)
  expect(await answers[0]).toBe(42)
  await expect(answers[1]).rejects.toThrow('no')
  expect(await answers[2]).toBe(8)
  expect(seen).toEqual({ begun: 1, isHeld: false })
})

test('a helper that tells nothing is ended, and who asks next has another', async () => {
  const { seen, begin } = pretended()
  const beside = new Beside(begin, { patienceMs: 30 })
  await expect(beside.ask('never')).rejects.toThrow(BrokenOff)
  expect(await beside.ask('double', 5)).toBe(10)
  expect(seen.begun).toBe(2)
})

test('names that are nobody’s task are refused, those every object has among them', async () => {
  const beside = new Beside(pretended().begin)
  for (const name of ['toString', '__proto__', 'elsewhere'])
    await expect(beside.ask(name)).rejects.toThrow('no task')
})
