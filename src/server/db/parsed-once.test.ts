import { describe, expect, test } from 'vitest'
import { parsedOnce } from './parsed-once'

describe('a text that was stored', () => {
  test('is read once, and what comes out cannot be changed by whoever shares it', () => {
    let read = 0
    const plan = parsedOnce((text) => {
      read += 1
      return JSON.parse(text) as { steps: { minutes: number }[] }
    })
    const first = plan('{"steps":[{"minutes":5}]}')
    expect(plan('{"steps":[{"minutes":5}]}')).toBe(first)
    expect(plan('{"steps":[]}')).not.toBe(first)
    expect(read).toBe(2)
    expect(() => {
      first.steps[0]!.minutes = 6
    }).toThrow(TypeError)
    expect(() => first.steps.push({ minutes: 1 })).toThrow(TypeError)
  })
  test('that cannot be read says so each time', () => {
    const plan = parsedOnce((text) => JSON.parse(text))
    expect(() => plan('{')).toThrow(SyntaxError)
    expect(() => plan('{')).toThrow(SyntaxError)
  })
  test('is forgotten after many others', () => {
    let read = 0
    const number = parsedOnce((text) => {
      read += 1
      return [Number(text)]
    })
    for (let at = 0; at < 600; at++) number(String(at))
    number('599')
    expect(read).toBe(600)
    number('0')
    expect(read).toBe(601)
  })
})
