import { describe, expect, test } from 'vitest'
import { bodyPlan, paintedAreaM2, panelsOf, SHAPES } from '.'

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
      path.match(/-?\d+(\.\d+)?,-?\d+(\.\d+)?/g)!.map((pair) => pair.split(',').map(Number))
    const left = numbers(plan.panels['front-door-left']!.path)
    const right = numbers(plan.panels['front-door-right']!.path)
    expect(right).toEqual(left.map(([x, y]) => [x, -y!]))
  })
  test('has a painted area a car can have, and no panel twice', () => {
    expect(paintedAreaM2(shape)).toBeGreaterThan(8)
    expect(paintedAreaM2(shape)).toBeLessThan(12)
    expect(new Set(panels.map(({ id }) => id)).size).toBe(panels.length)
  })
  test('is walked in a circle: bonnet first, right flank before left, roof last', () => {
    const order = panels.map(({ id }) => id)
    expect(order[0]).toBe('bonnet')
    expect(order.at(-1)).toBe('roof')
    expect(order.indexOf('front-door-right')).toBeLessThan(order.indexOf('tailgate'))
    expect(order.indexOf('tailgate')).toBeLessThan(order.indexOf('front-door-left'))
  })
})
