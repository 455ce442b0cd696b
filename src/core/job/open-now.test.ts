import { describe, expect, test } from 'vitest'
import { toJobId, toOperationId, toPersonId } from '../ids'
import { makeOffer } from '../offer'
import { offerInput, template, vendors } from '../offer/offer.fixture'
import { instantOrThrow, plusMinutes } from '../time'
import { awayNow, goesOnWith, type LiveJob, openNow, type Progress, stageOf } from '.'

const NOW = instantOrThrow('2027-01-20T09:00:00Z')
const [oran, senan] = [toPersonId('oran'), toPersonId('senan')]
const offer = makeOffer(template('boathouse'), offerInput({}, { vendors }), {
  extras: [{ key: 'interior', count: 1 }],
})

/** A job in which these steps are done and these are under way, by whom. */
function job(done: readonly string[], under: Record<string, Partial<Progress>> = {}): LiveJob {
  const over = done.map((id): [string, Progress] => [
    id,
    { kind: 'done', from: plusMinutes(NOW, -600), to: plusMinutes(NOW, -540), by: oran },
  ])
  const begun = Object.entries(under).map(([id, more]): [string, Progress] => [
    id,
    { kind: 'started', at: plusMinutes(NOW, -60), ...more } as Progress,
  ])
  const placed = (operation: string, people: ReturnType<typeof toPersonId>[], from: number) => ({
    job: toJobId('A'),
    operation: toOperationId(operation),
    start: plusMinutes(NOW, from),
    end: plusMinutes(NOW, from + 300),
    people,
    place: 'loft-1' as never,
    segments: [],
  })
  return {
    id: toJobId('A'),
    arrive: plusMinutes(NOW, -3000),
    weight: 1,
    plan: offer.plan,
    progress: Object.fromEntries([...over, ...begun]),
    published: [
      placed('cut', [senan], 30),
      placed('extra-interior', [oran], 60),
      placed('vendor-tam-wheels', [], 20),
    ],
  }
}

const BEFORE = ['vendor-oona-dents', 'wash', 'mask', 'extra-wheels-off']
const idsOf = (live: LiveJob) => openNow(live, NOW).map(({ operation }) => operation.id)

describe('steps that stand open beside one another', () => {
  test('what follows only what is done can be begun, by whoever the plan has for it', () => {
    expect(idsOf(job(BEFORE))).toEqual(['vendor-tam-wheels', 'cut', 'extra-interior'])
    expect(goesOnWith(job(BEFORE), NOW, oran)?.id).toBe('extra-interior')
    expect(goesOnWith(job(BEFORE), NOW, senan)?.id).toBe('cut')
  })
  test('one goes on with what one is at, whatever the plan says', () => {
    const live = job(BEFORE, { cut: { by: oran } })
    expect(goesOnWith(live, NOW, oran)?.id).toBe('cut')
    expect(goesOnWith(live, NOW, senan)?.id).toBe('cut')
    expect(openNow(live, NOW).find(({ isBegun }) => isBegun)).toMatchObject({ by: [oran] })
  })
  test('wheels that are away keep nobody from the car', () => {
    const live = job(BEFORE, { 'vendor-tam-wheels': { by: oran, dueBack: plusMinutes(NOW, 1440) } })
    expect(goesOnWith(live, NOW)?.id).toBe('cut')
    expect(stageOf({ job: live, surveyed: true, handedOver: false }, NOW)).toMatchObject({
      kind: 'between',
      next: { id: 'cut' },
    })
  })
  test('where all that is left waits for them, the car is waiting for them', () => {
    const all = offer.plan.operations.map(({ id }) => id)
    const rest = ['vendor-tam-wheels', 'surface-wheels', 'wheels-on', 'finish']
    const live = job(
      all.filter((id) => !rest.includes(id)),
      { 'vendor-tam-wheels': { by: oran } },
    )
    expect(stageOf({ job: live, surveyed: true, handedOver: false }, NOW)).toMatchObject({
      kind: 'working',
      operation: { id: 'vendor-tam-wheels' },
    })
  })
  test('a job with nothing left is ready', () => {
    const live = job(offer.plan.operations.map(({ id }) => id))
    expect(openNow(live, NOW)).toEqual([])
    expect(goesOnWith(live, NOW)).toBeUndefined()
    expect(stageOf({ job: live, surveyed: true, handedOver: false }, NOW).kind).toBe('ready')
  })
})

describe('what is away', () => {
  test('leaves soon once it is off the car, and not before', () => {
    expect(awayNow(job(BEFORE.slice(0, 3)), NOW)).toEqual([])
    expect(awayNow(job(BEFORE), NOW)).toMatchObject([{ thing: 'piece', late: false }])
    expect(awayNow(job(BEFORE), NOW)[0]!.out).toBeUndefined()
  })
  test('should have left, where its time has come', () => {
    expect(awayNow(job(BEFORE), plusMinutes(NOW, 40))).toMatchObject([{ late: true }])
  })
  test('is late when it was to be back, as last said', () => {
    const out = (dueBack: number) =>
      awayNow(job(BEFORE, { 'vendor-tam-wheels': { dueBack: plusMinutes(NOW, dueBack) } }), NOW)[0]!
    expect(out(60)).toMatchObject({ late: false, out: { dueBack: plusMinutes(NOW, 60) } })
    expect(out(-60).late).toBe(true)
  })
  test('is gone from the list when it is back', () => {
    expect(awayNow(job([...BEFORE, 'vendor-tam-wheels']), NOW)).toEqual([])
  })
})
