import type { WorkWords } from '../work'

export const workInEnglish: WorkWords = {
  process: {
    'all-in-one': 'one-step polish with protection',
    'one-step-polish': 'light one-step polish',
    'one-step-cut': 'one-step correction',
    'two-step': 'two-step correction',
    'two-step-wool': 'strong two-step correction',
    'disc-two-step': 'fine sanding and two-step correction',
  },
  surface: {
    paint: 'paint',
    glass: 'glass',
    trim: 'trim',
    wheels: 'wheels',
    fabric: 'fabric',
    leather: 'leather',
    chrome: 'chrome',
  },
  extra: {
    'spot-work': {
      name: 'spot work',
      means: 'One deep scratch or mark brought down as far as the panel can spare, then blended in.',
    },
    'touch-up': {
      name: 'touch-up of stone chips',
      means: 'Chips filled by brush and left to dry before anything is coated. They are sealed, not gone.',
    },
    headlamps: { name: 'headlamp restoration', means: 'Cloudy lenses polished clear and sealed.' },
    'glass-polish': {
      name: 'glass polish',
      means: 'Mineral spots and light wiper marks polished from a pane.',
    },
    'wheels-off': {
      name: 'wheels off',
      means: 'All four removed, cleaned behind and inside; the car stays on stands meanwhile.',
    },
    'soft-top': { name: 'soft top', means: 'Scrubbed until the foam stays white, dried and proofed.' },
    'engine-bay': {
      name: 'engine bay',
      means: 'Covered where it must stay dry, cleaned by brush and wiped; no jet.',
    },
    interior: { name: 'interior', means: 'Vacuumed, wiped, stains treated as far as they go.' },
  },
  trade: {
    dents: 'dent removal',
    wheels: 'wheel refinishing',
    paint: 'respray',
    film: 'film',
    glass: 'glass repair',
    upholstery: 'upholstery',
  },
  skill: { prep: 'preparation', correct: 'correction', coat: 'coating' },
  activity: {
    wash: 'washing and decontamination',
    mask: 'masking and inspection',
    cut: 'machine polishing',
    refine: 'machine polishing',
    polish: 'machine polishing',
    wipe: 'cleaning before the coating',
    surface: 'other surfaces',
    layer: 'applying the coating',
    hold: 'drying',
    extra: 'extras',
    vendor: 'outside work',
    look: 'inspection',
    finish: 'final inspection',
  },
  care: {
    usual: 'Every section is checked under an inspection lamp.',
    highest: 'Worked in small sections at a slow pace; every section is checked twice under two lamps.',
  },
}
