import { describe, expect, test } from 'vitest'
import { toBayId, toJobId, toPersonId } from '@/core/ids'
import type { LiveJob, Progress } from '@/core/job'
import type { Floor } from '@/core/planning'
import { judge } from '@/core/survey'
import { type Instant, instantOrThrow, plusMinutes } from '@/core/time'
import { panelsOf } from '@/core/vehicle'
import { DUBLIN } from '@/text/region.fixture'
import { frondSummary } from '@/ui/frond'
import { milestoneWhen } from './care/milestone-list'
import { roomFor } from './frame/rooms'
import { leafletsOf } from './leaflets'
import { blocksOf, partOf, staysOf } from './schedule/blocks'
import { panelFace } from './survey/panel-face'
import { DRY, ONE, TWO, TWO_LAYERS } from './two-layers.fixture'
import { windowText } from './window-text'

const NOW = instantOrThrow('2027-01-13T10:00:00Z')
const at = (minutes: number) => plusMinutes(NOW, minutes)
const done = (from: number, to: number): Progress => ({
  kind: 'done',
  from: at(from),
  to: at(to),
  by: toPersonId('oran'),
})

const job = (progress: Record<string, Progress>): LiveJob => ({
  id: toJobId('j'),
  arrive: at(-3000),
  weight: 1,
  plan: TWO_LAYERS,
  progress,
  published: [ONE, TWO, DRY].map((operation, index) => ({
    job: toJobId('j'),
    operation,
    start: at(index * 400),
    end: at(index * 400 + (operation === DRY ? 720 : 180)),
    people: operation === DRY ? [] : [toPersonId('oran')],
    place: toBayId('loft-1'),
    segments: [[at(index * 400), at(index * 400 + 180)]] as [Instant, Instant][],
  })),
})

describe('a job as a frond', () => {
  test('fills as work is done: done leaves are full, the one under way partly, the others empty', () => {
    const leaflets = leafletsOf(
      job({ one: done(-400, -220), two: { kind: 'started', at: at(-90), by: toPersonId('oran') } }),
      DUBLIN,
      NOW,
    )
    expect(leaflets.map(({ share }) => share)).toEqual([1, 0.5, 0])
    expect(leaflets.map(({ kind }) => kind)).toEqual(['work', 'work', 'hold'])
    expect(leaflets.map(({ window }) => window ?? false)).toEqual([false, true, false])
  })
  test('is said in words for those who do not see it', () => {
    expect(frondSummary(leafletsOf(job({ one: done(-400, -220) }), DUBLIN, NOW))).toBe(
      '1 of 3 steps done, at: Layer 2',
    )
    expect(
      frondSummary(leafletsOf(job({ one: done(-2000, -1800), two: done(-1500, -1300) }), DUBLIN, NOW)),
    ).toBe('3 of 3 steps done')
  })
})

describe('the drawn schedule', () => {
  test('draws what was done where it really was, and the window from the real end', () => {
    const [one, two] = blocksOf('IM 1', job({ one: done(-90, 40) }), at(60))
    expect(one).toMatchObject({ state: 'done', start: at(-90), end: at(40) })
    expect(two).toMatchObject({ state: 'open', start: at(400), window: { opens: at(220), closes: at(760) } })
  })
  test('work that somebody else goes on with is on both rows, each with their own part', () => {
    const live = job({ one: { kind: 'started', at: at(-300), by: toPersonId('merle') } })
    const [first, second] = live.published
    const cut = { ...first!, start: at(-300), end: at(400), people: [toPersonId('senan')] }
    const segments: [Instant, Instant][] = [
      [at(-300), at(0)],
      [at(200), at(400)],
    ]
    const [one] = blocksOf('IM 1', { ...live, published: [{ ...cut, segments }, second!] }, at(10))
    expect(one).toMatchObject({ begunBy: 'merle', people: ['senan'] })
    expect(partOf(one!, toPersonId('merle'), at(10))).toMatchObject({
      start: at(-300),
      end: at(0),
      segments: [segments[0]],
    })
    expect(partOf(one!, toPersonId('senan'), at(10))).toMatchObject({
      start: at(200),
      end: at(400),
      segments: [segments[1]],
    })
    expect(partOf(one!, toPersonId('oran'), at(10))).toBeUndefined()
  })
  test('what one person does alone is whole on their row, and who did it stays with it', () => {
    const [one, two] = blocksOf(
      'IM 1',
      job({ one: { kind: 'done', from: at(-90), to: at(40), by: toPersonId('brida') } }),
      at(60),
    )
    expect(partOf(one!, toPersonId('brida'), at(60))).toBe(one)
    expect(partOf(one!, toPersonId('oran'), at(60))).toBeUndefined()
    expect(partOf(two!, toPersonId('oran'), at(60))).toBe(two)
    const [begun] = blocksOf(
      'IM 1',
      job({ one: { kind: 'started', at: at(0), by: toPersonId('oran') } }),
      at(60),
    )
    expect(begun!.begunBy).toBeUndefined()
  })
  test('a stay reaches from its first work to the end of its hold', () => {
    const live = job({})
    const floor = {
      now: NOW,
      holds: [],
      jobs: [{ job: { id: 'j', vehicle: { plate: 'IM 1' } }, live, stage: { kind: 'planned' } }],
    } as unknown as Floor
    expect(staysOf(floor)).toMatchObject([{ place: 'loft-1', start: at(0), end: at(1520) }])
  })
})

test('a window is said as what it means now', () => {
  const window = { opens: at(60), closes: at(600) }
  const say = (now: Instant) => windowText(window, { region: DUBLIN, now })
  expect(say(NOW)).toBe('Not before 11:00, not after 20:00')
  expect(say(at(60))).toBe('Window open until 20:00')
  expect(say(at(601))).toContain('Window closed 20:00')
})

test('a job opens in the room where its work is', () => {
  const operation = job({}).plan.operations[0]!
  expect(roomFor({ kind: 'to-measure' })).toBe('survey')
  expect(roomFor({ kind: 'to-choose' })).toBe('plan')
  expect(roomFor({ kind: 'between', next: operation })).toBe('work')
  expect(roomFor({ kind: 'waiting', operation, since: NOW })).toBe('work')
  expect(roomFor({ kind: 'handed-over' })).toBe('care')
  expect(roomFor({ kind: 'to-look' }, 'visit')).toBe('visit')
  expect(roomFor({ kind: 'handed-over' }, 'visit')).toBe('visit')
})

test('a panel of the plan says its number, its finding and its budget', () => {
  const panels = panelsOf('hatchback')
  const readings = {
    bonnet: [118, 119, 120],
    tailgate: [118, 121, 120],
    roof: [70, 71, 70],
    'rear-door-left': [260, 255, 258],
  }
  const result = judge({ panels, paintSystem: 'clear-over-base', school: 'both', readings, defects: {} })
  const face = (id: string) => panelFace(DUBLIN, result.panels.find(({ panel }) => panel.id === id)!)
  expect(face('bonnet')).toMatchObject({ text: '119', label: 'Bonnet: 119 µm, Original, budget 3.5 µm, A' })
  expect(face('roof')).toMatchObject({ mark: 'thin' })
  expect(face('rear-door-left')).toMatchObject({ mark: 'repainted' })
  expect(face('front-bumper')).toMatchObject({ mark: 'unreadable', text: '' })
  expect(face('sill-left').mark).toBeUndefined()
})

test('a date of the cure calendar says until for a hold and from for what may be done', () => {
  const say = (hold: boolean, when: Parameters<typeof milestoneWhen>[0]['when']) =>
    milestoneWhen({ key: 'dry-until', hold, when }, DUBLIN)
  expect(say(true, { kind: 'instant', at: NOW })).toBe('until Wednesday 13 January 2027 at 10:00')
  expect(say(false, { kind: 'instant', at: NOW })).toBe('from Wednesday 13 January 2027 at 10:00')
  expect(say(false, { kind: 'day', day: '2027-01-20' as never })).toBe('from Wednesday 20 January 2027')
})
