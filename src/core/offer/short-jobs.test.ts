import { describe, expect, test } from 'vitest'
import catalogue from '../../../demo/catalogue.json'
import setup from '../../../demo/setup.json'
import { catalogueSchema } from '../coating'
import { toJobId } from '../ids'
import { planningProblem, type ShopCalendar } from '../planning/shop-problem'
import { checkSchedule, solve } from '../schedule'
import { instantOrThrow } from '../time'
import { panelsOf, SHAPES } from '../vehicle'
import { repairPlan, visitPlan } from './short-jobs'
import { planSchema } from './told'

const products = catalogueSchema.parse(catalogue)
const product = (id: string) => products.find((each) => each.id === id)!
const attendedMinutes = (plan: ReturnType<typeof visitPlan>) =>
  plan.operations.reduce((sum, { minutes, people }) => sum + minutes * people, 0)

describe.each(SHAPES)('on a %s', (shape) => {
  test('a visit is a matter of hours, washed before it is looked at and topped after', () => {
    const plan = visitPlan(shape, product('plover-topper'))
    expect(plan.operations.map(({ kind }) => kind)).toEqual(['wash', 'look', 'layer', 'finish'])
    expect(attendedMinutes(plan)).toBeGreaterThan(90)
    expect(attendedMinutes(plan)).toBeLessThan(700)
    expect(planSchema.parse(plan)).toEqual(plan)
  })
  test('a repair touches its panels only, and takes longer for more of them', () => {
    const ids = panelsOf(shape).map(({ id }) => id)
    const [one, three] = [ids.slice(0, 1), ids.slice(0, 3)].map((panels) =>
      repairPlan(shape, panels, [product('ebb-single')]),
    )
    for (const { id, panels } of one!.operations)
      if (['test', 'polish', 'wipe', 'layer-1'].includes(id)) expect(panels).toEqual([ids[0]])
    expect(attendedMinutes(three!)).toBeGreaterThan(attendedMinutes(one!))
    expect(planSchema.parse(one)).toEqual(one)
  })
})

test('two layers keep their window, and the schedule keeps all of it', () => {
  const plan = repairPlan('hatchback', ['bonnet'], [product('cladonia-base'), product('tern-top')])
  expect(plan.links.find(({ to }) => to === 'layer-2')).toMatchObject({ min: 180, max: 720 })
  const now = instantOrThrow('2027-01-13T08:00:00Z')
  const live = { id: toJobId('repair'), arrive: now, weight: 1, plan, progress: {}, published: [] }
  const { problem } = planningProblem(setup as unknown as ShopCalendar, [live], { now })
  const { schedule } = solve(problem, { seed: 1, steps: 0 })
  expect(schedule.status).not.toBe('infeasible')
  expect(schedule.operations).toHaveLength(plan.operations.length)
  expect(checkSchedule(problem, schedule)).toEqual([])
})

test('nothing to repair, or nothing to lay, is refused', () => {
  expect(() => repairPlan('hatchback', [], [product('ebb-single')])).toThrow()
  expect(() => repairPlan('hatchback', ['bonnet'], [])).toThrow()
})
