import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { coatingJob, fileOf, shopProblem, withSpread } from '@/core/schedule/solver/problems.fixture'
import { runYard } from './run'

const ROOT = path.resolve(import.meta.dirname, '..')
let folder: string
beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-cli-'))
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const file = (name: string, content: string) => {
  const place = path.join(folder, name)
  writeFileSync(place, content)
  return place
}
function yard(...args: string[]) {
  const { status, stdout, stderr } = runYard(args)
  return { status, stderr, json: stdout === '' ? undefined : JSON.parse(stdout) }
}

test('from a shell it prints JSON, complains on the other stream, and leaves with its code', () => {
  const shell = (...args: string[]) =>
    spawnSync(path.join(ROOT, 'node_modules/.bin/tsx'), ['cli/yard.ts', ...args], {
      cwd: ROOT,
      encoding: 'utf8',
    })
  const good = shell('vin', '1M8GDM9AXKP042788')
  expect([good.status, JSON.parse(good.stdout).valid, good.stderr]).toEqual([0, true, ''])
  const bad = shell('paint')
  expect([bad.status, bad.stdout]).toEqual([2, ''])
  expect(bad.stderr).toContain('there is no command')
})

describe('schedule', () => {
  test('solves a layer window across a night, and --check agrees', () => {
    const problem = file('problem.json', fileOf(shopProblem([coatingJob('A', 3)])))
    const solved = yard('schedule', problem, '--seconds', '1')
    expect(solved).toMatchObject({ status: 0, json: { format: 'fern-yard/schedule@1' } })
    const schedule = file('schedule.json', JSON.stringify(solved.json))
    expect(yard('schedule', problem, '--check', schedule)).toMatchObject({ status: 0, json: { valid: true } })
    const cheap = file('cheap.json', JSON.stringify({ ...solved.json, cost: 1 }))
    const faulty = yard('schedule', problem, '--check', cheap)
    expect(faulty.status).toBe(1)
    expect(faulty.stderr).toContain('cost')
  })
  test('leaves with 3 and a reason where nothing can be placed', () => {
    const problem = file('impossible.json', fileOf(shopProblem([coatingJob('A', 1)], { people: [] })))
    expect(yard('schedule', problem)).toMatchObject({
      status: 3,
      json: { status: 'infeasible', reasons: [{ job: 'A' }, {}, {}] },
    })
  })
  test('leaves with 2 and the path of each fault on a malformed file', () => {
    const bad = yard('schedule', file('bad.json', '{"format":"x","slotMinutes":0}'))
    expect(bad.status).toBe(2)
    expect(bad.stderr).toContain('slotMinutes')
    expect(bad.stderr).toContain('timezone')
    expect(bad.json).toBeUndefined()
    expect(yard('schedule', file('text.json', 'no json'))).toMatchObject({ status: 2 })
    expect(yard('schedule', path.join(folder, 'gone.json')).stderr).toContain('there is no such file')
  })
})

/** A problem of which all attended work varies by a fifth. */
const varied = () => {
  const problem = shopProblem([coatingJob('A', 2, { due: '2027-01-14T17:00:00Z' })])
  return file('varied.json', fileOf(withSpread(problem, 0.2)))
}

describe('schedule --sure', () => {
  const steps = ['--steps', '40', '--seconds', '60']
  test('adds for every job the time that holds with that chance, later the surer it is to be', () => {
    const problem = varied()
    const [eight, nineteen] = ['0.8', '0.95'].map((sure) =>
      yard('schedule', problem, '--sure', sure, ...steps),
    )
    expect(eight).toMatchObject({ status: 0, json: { status: 'feasible', promises: [{ job: 'A' }] } })
    const promised = (said: typeof eight) => said!.json.promises[0] as { by: string; chance: number }
    expect(promised(eight).chance).toBeGreaterThanOrEqual(0.8)
    expect(promised(nineteen).chance).toBeGreaterThanOrEqual(0.95)
    expect(promised(nineteen).by > promised(eight).by).toBe(true)
    const schedule = file('sure.json', JSON.stringify(eight!.json))
    expect(yard('schedule', problem, '--check', schedule)).toMatchObject({ status: 0, json: { valid: true } })
  })
  test.each(['0', '1', '-1', 'often'])('refuses %s as a chance', (sure) => {
    expect(yard('schedule', varied(), '--sure', sure)).toMatchObject({ status: 2 })
  })
})

describe('rehearse', () => {
  test('says with which chance each job and window of a schedule holds, the same for the same seed', () => {
    const problem = varied()
    const schedule = file('bare.json', JSON.stringify(yard('schedule', problem, '--steps', '20').json))
    const of = (...more: string[]) => yard('rehearse', problem, schedule, '--runs', '200', ...more)
    const said = of()
    expect(said).toMatchObject({ status: 0, json: { jobs: [{ job: 'A' }], windows: expect.any(Array) } })
    const [job] = (said.json as { jobs: { chanceByDue: number; p50: string; p80: string; p95: string }[] })
      .jobs
    expect(job!.p50 <= job!.p80 && job!.p80 <= job!.p95).toBe(true)
    expect(job!.chanceByDue).toBeGreaterThanOrEqual(0)
    expect(job!.chanceByDue).toBeLessThanOrEqual(1)
    expect(of()).toEqual(said)
    expect(of('--seed', '2').json).not.toEqual(said.json)
    expect(of('--early').status).toBe(0)
  })
  test('may re-plan each morning: then it says other chances, the same for the same seed', () => {
    const problem = varied()
    const schedule = file('bare.json', JSON.stringify(yard('schedule', problem, '--steps', '20').json))
    const of = (...more: string[]) => yard('rehearse', problem, schedule, '--runs', '40', ...more)
    const daily = of('--replan', 'daily')
    expect(daily).toMatchObject({ status: 0, json: { jobs: [{ job: 'A' }], windows: expect.any(Array) } })
    expect(of('--replan', 'daily')).toEqual(daily)
    // It is rehearsed by the same luck: with one car in the shop nobody else has to make way.
    const [own, kept] = [daily, of()].map(
      ({ json }) => (json as { jobs: { chanceByDue: number }[] }).jobs[0]!,
    )
    expect(own!.chanceByDue).toBeGreaterThanOrEqual(kept!.chanceByDue)
  })
  test('refuses numbers that cannot be meant, and a schedule that breaks a rule', () => {
    const problem = varied()
    const { json } = yard('schedule', problem, '--steps', '20')
    const schedule = file('bare.json', JSON.stringify(json))
    expect(yard('rehearse', problem, schedule, '--runs', '0')).toMatchObject({ status: 2 })
    expect(yard('rehearse', problem, schedule, '--replan', 'weekly')).toMatchObject({
      status: 2,
      stderr: 'yard: --replan is daily: the rest is re-planned each morning.\n',
    })
    expect(yard('rehearse', problem, schedule, '--tolerate', '-1')).toMatchObject({ status: 2 })
    expect(yard('rehearse', problem)).toMatchObject({ status: 2 })
    const broken = file('broken.json', JSON.stringify({ ...(json as object), cost: 1 }))
    expect(yard('rehearse', problem, broken).stderr).toContain('it breaks a rule of the problem: cost')
  })
})

test('survey judges a table and refuses a faulty one by line and column', () => {
  const rows = [
    ...['bonnet,104', 'bonnet,106', 'roof,110', 'roof,108', 'tailgate,240', 'tailgate,244'],
    ...['front-wing-left,105', 'front-wing-left,107', 'front-wing-right,108', 'front-wing-right,109'],
  ]
  const good = yard('survey', file('good.csv', `panel,reading_um\n${rows.join('\n')}\n`), '--shape', 'estate')
  expect(good.status).toBe(0)
  const found = Object.fromEntries(
    good.json.panels.map((panel: { id: string; finding: { kind: string } }) => [
      panel.id,
      panel.finding.kind,
    ]),
  )
  expect(found).toMatchObject({ bonnet: 'original', tailgate: 'repainted', 'front-bumper': 'unreadable' })
  expect(good.json.budget.panels.bonnet).toBe(3.5)
  const bad = yard('survey', file('bad.csv', 'panel,reading_um\nbonnet,99999\n'), '--shape', 'estate')
  expect(bad.status).toBe(2)
  expect(bad.stderr).toContain('Line 2, column 2')
  expect(yard('survey', file('x.csv', 'panel,um\nbonnet,1\n'), '--shape', 'tractor').stderr).toContain(
    'none of',
  )
})

test('dilute and lance say what to pour, and refuse what cannot be poured', () => {
  expect(yard('dilute', '--ratio', '4', '--total', '1000', '--cap', '20').json).toEqual({
    productMl: 200,
    waterMl: 800,
    capfuls: 10,
  })
  const lance = ['lance', '--bottle', '1000', '--seconds', '60', '--flow', '8']
  expect(yard(...lance, '--panel', '4').json).toEqual({ productMl: 320, waterMl: 680 })
  expect(yard(...lance, '--product', '320').json).toMatchObject({ panelPercent: expect.closeTo(4, 9) })
  expect(yard(...lance, '--panel', '40').stderr).toContain('Open its valve')
  expect(yard(...lance).stderr).toContain('either --panel or --product')
  expect(yard('dilute', '--ratio', '0', '--total', '1000')).toMatchObject({ status: 2 })
})

test('vin, dew and care answer in JSON and refuse bad input with 2', () => {
  expect(yard('vin', '1M8GDM9AXKP042788').json).toMatchObject({ valid: true, modelYears: [1989, 2019] })
  expect(yard('vin', '1M8GDM9AXKP04278')).toMatchObject({ status: 2 })
  expect(yard('dew', '--temp', '25', '--rh', '60', '--surface', '20').json).toMatchObject({ go: true })
  expect(yard('dew', '--temp', '-5', '--rh', '60', '--surface', '-5').json).toMatchObject({
    requiredMarginC: 3,
  })
  expect(yard('dew', '--temp', '25', '--rh', '160', '--surface', '20').stderr).toContain('humidity')
  expect(
    yard('care', '--ended', '2027-01-13T16:00:00Z', '--product', 'tern-top').json.milestones,
  ).toMatchObject(Array(6).fill({ title: expect.any(String), advice: expect.any(String) }))
  expect(yard('care', '--ended', 'today', '--product', 'tern-top')).toMatchObject({ status: 2 })
  expect(yard('care', '--ended', '2027-01-13T16:00:00Z', '--product', 'x').stderr).toContain(
    'It has: cladonia-base',
  )
  expect(yard('paint')).toMatchObject({ status: 2 })
})

test('the angle of a half sphere is 90°, and what is no drop or no history is refused with 2', () => {
  expect(yard('angle', '--height', '1.5', '--base', '3').json.degrees).toBeCloseTo(90, 9)
  expect(yard('angle', '--height', '0', '--base', '3')).toMatchObject({ status: 2 })
  expect(yard('angle', '--height', '0', '--base', '3').stderr).toContain('must both be more than nothing')
  expect(yard('history', path.join(ROOT, 'package.json')).stderr).toContain('no history of a vehicle')
})

describe('cases', () => {
  const told = {
    format: 'fern-yard/case@1',
    vehicle: { shape: 'saloon', paint: 'clear' },
    defects: [{ panel: 'bonnet', kind: 'swirls', severity: 2, extentPercent: 80 }],
  }
  test('judge answers one case, and many line by line', () => {
    const one = yard('judge', file('case.json', JSON.stringify(told)))
    expect(one).toMatchObject({
      status: 0,
      json: { format: 'fern-yard/judgement@1', car: { inspected: 1, of: 17 } },
    })
    const { status, stdout } = runYard([
      'judge',
      file('cases.jsonl', `${JSON.stringify(told)}\n\n${JSON.stringify(told)}\n`),
      '--lines',
    ])
    const lines = stdout.trim().split('\n')
    expect([status, lines.length]).toEqual([0, 2])
    expect(JSON.parse(lines[1]!)).toEqual(one.json)
  })
  test('a faulty case is told by line, path and sentence, and nothing is printed', () => {
    const bad = { ...told, defects: [{ ...told.defects[0], panel: 'nose' }] }
    const said = runYard([
      'judge',
      file('bad.jsonl', `${JSON.stringify(told)}\n${JSON.stringify(bad)}`),
      '--lines',
    ])
    expect([said.status, said.stdout]).toEqual([2, ''])
    expect(said.stderr).toMatch(/line 2: defects\.0\.panel: This shape has no panel “nose”\./)
    expect(yard('judge', file('no.json', '{')).stderr).toContain('this is not JSON')
  })
  test('ledger and outlook answer theirs', () => {
    const ledger = { table: { um: 3, share: 0.5 } }
    expect(yard('ledger', file('ledger.json', JSON.stringify(ledger))).json).toEqual({
      takenUm: 3,
      uUm: 1.5,
      by: 'table',
    })
    expect(yard('ledger', file('none.json', '{}')).status).toBe(2)
    const outlook = { lifeMonths: 18, appliedOn: '2025-01-10', today: '2026-01-10', panels: ['roof'] }
    expect(yard('outlook', file('outlook.json', JSON.stringify(outlook))).json.panels).toMatchObject([
      { panel: 'roof', blind: false },
    ])
  })
  test('the vocabulary names every id a case may use', () => {
    const { json } = yard('vocabulary')
    const saloon = json.shapes.find(({ id }: { id: string }) => id === 'saloon')
    expect(saloon.panels).toHaveLength(17)
    expect(json.methods.map(({ id }: { id: string }) => id)).toContain('two-step-wool')
    expect(json.rules.every(({ reason }: { reason: string }) => reason.length > 10)).toBe(true)
  })
})
