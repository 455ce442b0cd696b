import { describe, expect, test } from 'vitest'
import { offered, type PanelOption, SEEDED_METHODS } from '@/core/correction'
import { chips, offerInput, swirls } from '@/core/offer/offer.fixture'
import { DEFECT_MODEL } from '@/core/survey'
import { studyGroup } from '@/core/test-spot'
import { attempt } from '@/core/test-spot/spots.fixture'
import { ladderFor, markOn, panelToTry, stepsOf } from './ladder'

const { judgement } = offerInput({ thin: ['roof'] })
const panel = (id: string) => judgement.panels.find((judged) => judged.panel.id === id)!
const study = (attempts: Parameters<typeof attempt>[0][] = []) =>
  studyGroup('metal-original', {
    hardness: 'medium',
    paint: { make: '', colour: '', colourCode: '', paintSystem: 'clear-over-base' },
    memory: [],
    methods: SEEDED_METHODS,
    attempts: attempts.map((each) => attempt(each)),
  })
const METHODS = offered(SEEDED_METHODS)
const keys = (options: readonly PanelOption[]) => options.map(({ method: { key } }) => key)

describe('the ladder of one panel', () => {
  test('leaves out what the rules forbid there, and says why', () => {
    const { open, forbidden } = ladderFor(panel('front-bumper'), study(), METHODS)
    expect(keys(open)).not.toContain('two-step')
    expect(forbidden.every(({ broken }) => broken.length > 0)).toBe(true)
    expect(open.length + forbidden.length).toBe(SEEDED_METHODS.length - 1)
  })
  test('a panel without paint to spare has no rung', () => {
    expect(ladderFor(panel('roof'), study(), METHODS).open).toEqual([])
  })
  test('what a spot has shown does not shorten it: a spot is there to find out', () => {
    const settled = study([{ process: 'one-step-polish', verdict: 'enough' }])
    expect(settled.settled?.key).toBe('one-step-polish')
    expect(keys(ladderFor(panel('bonnet'), settled, METHODS).open)).toContain('two-step')
  })
  test('wool stays on it where marks are light: whether it is needed is what a spot finds out', () => {
    const light = offerInput({ defects: { bonnet: [{ ...swirls, severity: 1 }] } }).judgement
    const bonnet = light.panels.find(({ panel: { id } }) => id === 'bonnet')!
    expect(keys(ladderFor(bonnet, study(), METHODS).open)).toContain('two-step-wool')
  })
  test('every rung fills the form with its steps, on squares that fit a spot', () => {
    for (const option of ladderFor(panel('bonnet'), study(), METHODS).open) {
      const steps = stepsOf(option)
      expect(steps.map(({ pad }) => pad)).toEqual(option.method.steps.map(({ pad }) => pad))
      for (const { sectionM } of steps) expect(sectionM).toBeLessThanOrEqual(0.6)
    }
  })
})

describe('where to begin', () => {
  test('on a panel with paint to spare and something to clear, in sight', () => {
    expect(panelToTry(judgement, 'metal-original')!.panel.id).toBe('bonnet')
    expect(panelToTry(judgement, 'plastic')!.panel.substrate).toBe('plastic')
    expect(panelToTry(judgement, 'metal-repainted')).toBeUndefined()
  })
  test('not on a bonnet that is thin', () => {
    const thin = offerInput({ thin: ['bonnet'] }).judgement
    expect(panelToTry(thin, 'metal-original')!.panel.id).not.toBe('bonnet')
  })
  test('by the mark that costs the panel most and that polishing can clear', () => {
    const heavy = { ...swirls, severity: 3 as const }
    const marked = offerInput({
      defects: { bonnet: [chips, swirls, { ...heavy, kind: 'oxidation' }] },
    }).judgement
    const bonnet = marked.panels.find((judged) => judged.panel.id === 'bonnet')!
    expect(markOn(bonnet)).toEqual({ kind: 'oxidation', severity: 3 })
    expect(DEFECT_MODEL[markOn(panel('roof')).kind].mend).toBe('polish')
    const spotless = offerInput({ defects: {} }).judgement.panels[0]!
    expect(markOn(spotless)).toEqual({ kind: 'swirls', severity: 2 })
  })
})
