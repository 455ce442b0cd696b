import { describe, expect, test } from 'vitest'
import { isShape, SHAPES, type Shape } from './bodies'
import { paintedAreaM2, panelsOf, placesOf } from './panels'
import { bodyPlan } from './plan'

/** m² of paint one would believe (mem): a car, a van, a house on wheels. */
const BELIEVABLE_M2 = (shape: Shape): [number, number] =>
  shape === 'motorhome' ? [30, 42] : shape === 'van' ? [14, 20] : [7, 12]

describe.each(SHAPES)('%s', (shape) => {
  const panels = panelsOf(shape)
  const plan = bodyPlan(shape)
  test('has every panel drawn, with its label inside the picture', () => {
    expect(Object.keys(plan.panels).sort()).toEqual(panels.map(({ id }) => id).sort())
    for (const { label } of Object.values(plan.panels)) {
      expect(Math.abs(label.y)).toBeLessThan(plan.viewBox.height / 2)
      expect(label.x).toBeGreaterThan(plan.viewBox.x)
      expect(label.x).toBeLessThan(plan.viewBox.x + plan.viewBox.width)
    }
  })
  test('draws the right flank as the mirror of the left', () => {
    const numbers = (path: string) =>
      path
        .replace(/A\d+,\d+ /g, '')
        .match(/-?\d+(\.\d+)?,-?\d+(\.\d+)?/g)!
        .map((pair) => pair.split(',').map(Number))
    for (const { id } of panels.filter(({ id }) => id.endsWith('-left'))) {
      const left = numbers(plan.panels[id]!.path)
      const right = numbers(plan.panels[id.replace(/left$/, 'right')]!.path)
      expect(right).toEqual(left.map(([x, y]) => [x, -y!]))
    }
  })
  test('has a painted area a car can have, and no panel twice', () => {
    const [least, most] = BELIEVABLE_M2(shape)
    expect(paintedAreaM2(shape)).toBeGreaterThan(least)
    expect(paintedAreaM2(shape)).toBeLessThan(most)
    expect(new Set(panels.map(({ id }) => id)).size).toBe(panels.length)
  })
  test('is walked in a circle: bonnet first, right flank before the tail, the tail before the left, roof last', () => {
    const order = panels.map(({ id }) => id)
    expect(order[0]).toBe('bonnet')
    expect(order.at(-1)).toMatch(/roof|front-bumper/)
    expect(order.indexOf('front-wing-right')).toBeLessThan(order.indexOf('rear-bumper'))
    expect(order.indexOf('rear-bumper')).toBeLessThan(order.indexOf('front-wing-left'))
  })
  test('has its wheels, glass and lights in their places, each drawn where it says so', () => {
    const places = placesOf(shape)
    const ids = places.map(({ id }) => id)
    expect(new Set(ids).size).toBe(ids.length)
    expect(ids).toEqual(
      expect.arrayContaining([
        'wheel-front-left',
        'wheel-rear-right',
        'headlamp-left',
        'windscreen',
        'interior',
      ]),
    )
    const drawn = new Set(plan.backdrop.map(({ place }) => place))
    for (const { id, drawn: says } of places) expect([id, drawn.has(id)]).toEqual([id, says])
  })
})

test('only a convertible has a soft top, and it has no roof to read', () => {
  const soft = SHAPES.filter((shape) => placesOf(shape).some(({ id }) => id === 'soft-top'))
  expect(soft).toEqual(['convertible'])
  expect(panelsOf('convertible').some(({ id }) => id === 'roof')).toBe(false)
})

test('a shape is one of the nine and nothing that every object has', () => {
  expect(SHAPES).toHaveLength(9)
  expect(isShape('saloon')).toBe(true)
  expect(isShape('toString')).toBe(false)
})
