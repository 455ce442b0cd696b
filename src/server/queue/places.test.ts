import { expect, test } from 'vitest'
import { Places } from './places'

test('no more come in than there are places, and whoever leaves twice leaves once', () => {
  const places = new Places(2)
  const first = places.take()!
  const second = places.take()!
  expect(places.take()).toBeUndefined()
  first()
  first()
  expect(places.take()).toBeDefined()
  expect(places.take()).toBeUndefined()
  second()
  expect(places.take()).toBeDefined()
})
