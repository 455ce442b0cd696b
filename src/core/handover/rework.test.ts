import { describe, expect, test } from 'vitest'
import setup from '../../../demo/setup.json'
import { lifeMonthsOf } from '../aftercare'
import { type OperationId, toJobId, toOperationId } from '../ids'
import { machineRoles, makeOffer, planSchema, shareOfLayer } from '../offer'
import { offerInput, product, template } from '../offer/offer.fixture'
import { planningProblem, type ShopCalendar } from '../planning'
import { checkSchedule, solve } from '../schedule'
import { instantOrThrow } from '../time'
import { panelsOf } from '../vehicle'
import {
  isRework,
  REWORK_MINUTES,
  type ReworkAt,
  reworkFor,
  reworksIn,
  stepsToSendTo,
  withRework,
} from './rework'

const { plan } = makeOffer(template('lantern'), offerInput())
const panels = panelsOf('saloon')
const bonnet = panels.find(({ id }) => id === 'bonnet')!
const at = (place: string, more: Partial<ReworkAt> = {}): ReworkAt => {
  const panel = panels.find(({ id }) => id === place)
  return { place, ...(panel ? { panel } : {}), isDone: () => true, productOf: product, ...more }
}
const sentBack = (step: string, place = 'bonnet', more: Partial<ReworkAt> = {}) =>
  withRework(plan, toOperationId(step), at(place, more))!
const chain = (changed: typeof plan) => changed.operations.filter(({ id }) => isRework(id))
const names = (changed: typeof plan) =>
  chain(changed).map(({ title }) => (typeof title === 'object' && title.code === 'again' ? title.of : title))

describe('a coated panel sent back', () => {
  test('to the machine is polished there, wiped, and gets every layer and its hold anew', () => {
    const changed = sentBack('refine')
    expect(names(changed)).toEqual([
      { code: 'refine' },
      { code: 'wipe' },
      { code: 'layer', layer: 1, product: 'Cladonia Base' },
      { code: 'layer', layer: 2, product: 'Tern Top' },
      { code: 'layer', layer: 3, product: 'Tern Top' },
      { code: 'hold' },
    ])
    const [polish, ...others] = chain(changed)
    expect(polish).toMatchObject({
      kind: 'refine',
      minutes: REWORK_MINUTES,
      panels: ['bonnet'],
      skill: 'correct',
    })
    for (const { kind, panels: own } of others) if (kind !== 'hold') expect(own).toEqual(['bonnet'])
    expect(planSchema.safeParse(changed).success).toBe(true)
  })
  test('to a layer has that layer polished off by the step that finishes, never only wiped', () => {
    const [polish] = chain(sentBack('layer-2'))
    expect(polish).toMatchObject({ kind: 'polish', panels: ['bonnet'], skill: 'correct' })
    expect(machineRoles(polish!)).toEqual(['single', 'refine'])
    expect(chain(sentBack('layer-2')).filter(({ kind }) => kind === 'layer')).toHaveLength(3)
  })
  test('keeps the windows of its products and dries as long as they ask', () => {
    const changed = sentBack('layer-1')
    const link = (to: string) => changed.links.find((each) => each.to === to)!
    expect(link('again-1-layer-2')).toMatchObject({ from: 'again-1-layer-1', min: 180, max: 720 })
    expect(link('again-1-layer-1').max).toBe(120)
    expect(link('again-1-dry')).toMatchObject({ from: 'again-1-layer-3', min: 0, max: 0 })
    expect(changed.operations.find(({ id }) => id === 'again-1-dry')!.minutes).toBeGreaterThanOrEqual(720)
  })
  test('takes the millilitres of one panel, not of the car', () => {
    const layer = chain(sentBack('layer-1')).find(({ kind }) => kind === 'layer')!
    const share = shareOfLayer(layer, sentBack('layer-1').operations, panels)
    expect(share).toBeCloseTo(bonnet.areaM2 / panels.reduce((sum, { areaM2 }) => sum + areaM2, 0))
  })
  test('stands before the last step, in its stay, and can be planned by every rule', () => {
    const changed = sentBack('refine')
    expect(changed.operations.at(-1)).toEqual(plan.operations.at(-1))
    for (const { id } of chain(changed)) expect(changed.stays.at(-1)!.operations).toContain(id)
    const now = instantOrThrow('2027-01-11T07:00:00Z')
    const live = { id: toJobId('A'), arrive: now, weight: 1, plan: changed, progress: {}, published: [] }
    const { problem } = planningProblem(setup as unknown as ShopCalendar, [live], { now })
    const { schedule } = solve(problem, { seed: 1, steps: 0 })
    expect(schedule.reasons).toEqual([])
    expect(checkSchedule(problem, schedule)).toEqual([])
    const ends = (id: string) => schedule.operations.find(({ operation }) => operation === id)!.end
    const finish = schedule.operations.find(({ operation }) => operation === plan.operations.at(-1)!.id)!
    expect(finish.start >= ends('again-1-dry')).toBe(true)
  })
  test('lies under as many layers as before, not under twice as many', () => {
    const single = makeOffer(template('headland'), offerInput()).plan
    const changed = withRework(single, toOperationId('layer-1'), at('bonnet'))!
    const again = chain(changed).flatMap(({ kind, productId }) =>
      kind === 'layer' ? [product(productId!)] : [],
    )
    expect(lifeMonthsOf(again)).toBe(lifeMonthsOf([product('ebb-single')]))
  })
})

describe('what is not coated', () => {
  test('before the coats are on, a panel is only polished again: they are still to come', () => {
    const changed = sentBack('refine', 'bonnet', { isDone: (id: OperationId) => !id.startsWith('layer') })
    expect(chain(changed)).toHaveLength(1)
    expect(chain(changed)[0]).toMatchObject({ kind: 'refine', panels: ['bonnet'] })
  })
  test('a place that is only to be washed again is washed', () => {
    const [wash, ...more] = chain(sentBack('wash', 'door-shuts'))
    expect(wash).toMatchObject({ kind: 'wash', minutes: REWORK_MINUTES })
    expect(more).toEqual([])
  })
  test('glass gets its own product and its hold', () => {
    const { plan: full } = makeOffer(template('boathouse'), offerInput())
    const changed = withRework(full, toOperationId('surface-glass'), at('glass'))!
    expect(chain(changed)[0]).toMatchObject({ kind: 'surface', surface: 'glass', productId: 'rill-glass' })
    expect(chain(changed).at(-1)!.kind).toBe('hold')
    // Whichever place it was seen from: no paint is polished for it.
    const seen = withRework(full, toOperationId('surface-glass'), at('bonnet'))!
    expect(chain(seen).map(({ kind }) => kind)).toEqual(['surface', 'hold'])
  })
})

describe('sent back more than once', () => {
  const twice = withRework(sentBack('cut', 'roof'), toOperationId('layer-1'), at('bonnet'))!
  test('each is counted once, however many steps it has, and none can be sent back itself', () => {
    expect(reworksIn(plan)).toBe(0)
    expect(reworksIn(twice)).toBe(2)
    expect(stepsToSendTo(twice)).toEqual(stepsToSendTo(plan))
  })
  test('the steps of a place are those of its last time', () => {
    expect(reworkFor(twice, 'roof').every(({ id }) => id.startsWith('again-1'))).toBe(true)
    const thrice = withRework(twice, toOperationId('refine'), at('roof'))!
    expect(reworkFor(thrice, 'roof').every(({ id }) => id.startsWith('again-3'))).toBe(true)
    expect(reworkFor(plan, 'roof')).toEqual([])
  })
  test('two places are polished first and coated then: neither waits for the hold of the other', () => {
    const open = { isDone: (id: OperationId) => !isRework(id) }
    const one = withRework(plan, toOperationId('refine'), at('roof', open))!
    const both = withRework(one, toOperationId('layer-1'), at('bonnet', open))!
    const ends = (changed: typeof plan) => {
      const now = instantOrThrow('2027-01-11T07:00:00Z')
      const live = { id: toJobId('A'), arrive: now, weight: 1, plan: changed, progress: {}, published: [] }
      const { problem } = planningProblem(setup as unknown as ShopCalendar, [live], { now })
      const { schedule } = solve(problem, { seed: 1, steps: 0 })
      expect(checkSchedule(problem, schedule)).toEqual([])
      return schedule.operations
    }
    const find = (placed: ReturnType<typeof ends>, id: string) =>
      placed.find(({ operation }) => operation === id)!
    const together = ends(both)
    for (const polish of ['again-1', 'again-2'])
      for (const wipe of ['again-1-wipe', 'again-2-wipe'])
        expect(find(together, wipe).start >= find(together, polish).end).toBe(true)
    expect(find(together, 'again-2-wipe').start < find(together, 'again-1-dry').start).toBe(true)
  })
  test('what is washed again is washed before anything is coated anew, whichever was sent back first', () => {
    const open = { isDone: (id: OperationId) => !isRework(id) }
    const [polished, washed] = [
      { step: 'refine', place: 'bonnet' },
      { step: 'wash', place: 'door-shuts' },
    ]
    for (const [first, second] of [
      [polished, washed],
      [washed, polished],
    ]) {
      const one = withRework(plan, toOperationId(first!.step), at(first!.place, open))!
      const both = withRework(one, toOperationId(second!.step), at(second!.place, open))!
      const of = (kind: string) => chain(both).find((each) => each.kind === kind)!.id
      expect(both.links).toContainEqual({ from: of('wash'), to: of('wipe'), min: 0 })
    }
  })
  test('where the first is being coated already, the second waits till nothing is soft; the same place follows itself', () => {
    const coating = {
      isDone: (id: OperationId) => !isRework(id) || id === 'again-1' || id === 'again-1-wipe',
    }
    const one = withRework(plan, toOperationId('refine'), at('roof', coating))!
    const both = withRework(one, toOperationId('refine'), at('bonnet', coating))!
    const links = (changed: typeof plan) => changed.links.map(({ from, to }) => `${from} ${to}`)
    expect(links(both)).toContain('again-1-dry again-2')
    const again = withRework(one, toOperationId('refine'), at('roof', { isDone: () => true }))!
    expect(links(again)).toContain('again-1-dry again-2')
  })
  test('what is no step of somebody’s hands is none to send back to', () => {
    expect(withRework(plan, toOperationId('dry'), at('roof'))).toBeUndefined()
    expect(withRework(plan, toOperationId('nothing'), at('roof'))).toBeUndefined()
  })
})
