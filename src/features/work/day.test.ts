import { describe, expect, test } from 'vitest'
import { toPersonId } from '@/core/ids'
import type { LiveJob, Progress } from '@/core/job'
import type { Floor, FloorJob } from '@/core/planning'
import { type Instant, instantOrThrow, plusMinutes } from '@/core/time'
import { DUBLIN } from '@/text/region.fixture'
import { dayCars } from './day'

const NOON = instantOrThrow('2027-01-13T12:00:00Z')
const at = (hours: number): Instant => plusMinutes(NOON, hours * 60)

const step = (id: string, from: number, to: number, by: string) => ({
  operation: {
    id,
    kind: 'cut' as const,
    title: id,
    minutes: (to - from) * 60,
    mode: id === 'cure' ? ('unattended' as const) : ('solid' as const),
    people: id === 'cure' ? 0 : 1,
  },
  placed: {
    job: 'j',
    operation: id,
    start: at(from),
    end: at(to),
    people: id === 'cure' ? [] : [by],
    place: 'loft-1',
    segments: [],
  },
})

function floor(steps: ReturnType<typeof step>[], progress: Record<string, Progress>, plate = 'IM 1'): Floor {
  const live = {
    id: plate,
    arrive: at(-100),
    weight: 1,
    plan: { operations: steps.map(({ operation }) => operation), links: [], stays: [] },
    progress,
    published: steps.map(({ placed }) => placed),
  } as unknown as LiveJob
  const entry = {
    job: { id: plate, vehicle: { plate, make: 'Marl', model: 'Stonecrop' } },
    live,
    stage: { kind: 'planned' },
  } as unknown as FloorJob
  return {
    now: NOON,
    shop: { setup: { region: DUBLIN, places: [{ id: 'loft-1', name: 'Loft 1' }] } },
    jobs: [entry],
  } as unknown as Floor
}

describe('the work of a day', () => {
  const steps = [
    step('yesterday', -24, -22, 'brida'),
    step('overdue', -20, -19, 'brida'),
    step('morning', -4, -2, 'senan'),
    step('now', -1, 2, 'oran'),
    step('later', 3, 5, 'merle'),
    step('cure', 5, 20, ''),
    step('tomorrow', 22, 24, 'merle'),
  ]
  const progress: Record<string, Progress> = {
    yesterday: { kind: 'done', from: at(-24), to: at(-22), by: toPersonId('brida') },
    morning: { kind: 'done', from: at(-4), to: at(-2), by: toPersonId('oran') },
    now: { kind: 'started', at: at(-1), by: toPersonId('oran') },
  }

  test('is what is done today, under way, planned for today, or overdue; no wait, nothing of tomorrow', () => {
    const [car] = dayCars(floor(steps, progress))
    expect(car).toMatchObject({ plate: 'IM 1', car: 'Marl Stonecrop', place: 'Loft 1' })
    expect(car!.steps.map(({ operation, state }) => [operation.id, state])).toEqual([
      ['overdue', 'open'],
      ['morning', 'done'],
      ['now', 'started'],
      ['later', 'open'],
    ])
  })
  test('belongs to who really did it, else to who is to', () => {
    const [car] = dayCars(floor(steps, progress))
    expect(car!.steps.map(({ people }) => people)).toEqual([['brida'], ['oran'], ['oran'], ['merle']])
  })
  test('leaves out cars with nothing today', () => {
    expect(dayCars(floor([step('tomorrow', 22, 24, 'merle')], {}))).toEqual([])
  })
  test('puts the car that begins first before the others', () => {
    const early = floor([step('early', -3, 1, 'brida')], {}, 'IM 2')
    const late = floor([step('late', 2, 4, 'brida')], {}, 'IM 3')
    const both = { ...late, jobs: [...late.jobs, ...early.jobs] }
    expect(dayCars(both).map(({ plate }) => plate)).toEqual(['IM 2', 'IM 3'])
  })
})
