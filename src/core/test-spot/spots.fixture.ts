import type { Attempt } from './attempt'

/** An attempt for tests: a one-step cut on the bonnet that left too much behind. */
export const attempt = (more: Partial<Attempt> = {}): Attempt => ({
  panel: 'bonnet',
  group: 'metal-original',
  process: 'one-step-cut',
  machine: 'Long-throw dual action',
  pad: 'Foam cut',
  liquid: 'Medium polish',
  speed: 5,
  passes: 5,
  sectionM: 0.6,
  mark: { kind: 'swirls', severity: 2 },
  cleared: 0.6,
  haze: 'none',
  heat: 'warm',
  beforeUm: [],
  afterUm: [],
  verdict: 'more',
  note: '',
  ...more,
})
