import type { WorkWords } from '../work'

export const workInFrench: WorkWords = {
  process: {
    'all-in-one': 'polissage en une étape avec protection',
    'one-step-polish': 'polissage léger en une étape',
    'one-step-cut': 'correction en une étape',
    'two-step': 'correction en deux étapes',
    'two-step-wool': 'correction forte en deux étapes',
    'disc-two-step': 'ponçage fin, puis correction en deux étapes',
  },
  surface: {
    paint: 'peinture',
    glass: 'vitrages',
    trim: 'plastiques extérieurs',
    wheels: 'jantes',
    fabric: 'textile',
    leather: 'cuir',
    chrome: 'chromes',
  },
  extra: {
    'spot-work': {
      name: 'retouche localisée',
      means: 'Une rayure profonde atténuée autant que l’élément le permet, puis fondue.',
    },
    'touch-up': {
      name: 'retouche des éclats',
      means: 'Éclats comblés au pinceau et séchés avant toute protection. Ils sont scellés, pas effacés.',
    },
    headlamps: { name: 'rénovation des phares', means: 'Optiques ternies repolies et scellées.' },
    'glass-polish': {
      name: 'polissage du vitrage',
      means: 'Traces de calcaire et légères rayures d’essuie-glace polies.',
    },
    'wheels-off': {
      name: 'dépose des roues',
      means: 'Les quatre roues déposées, nettoyées à l’intérieur et derrière.',
    },
    'soft-top': { name: 'capote', means: 'Brossée jusqu’à une mousse blanche, séchée et imperméabilisée.' },
    'engine-bay': {
      name: 'compartiment moteur',
      means: 'Protégé où il doit rester sec, nettoyé au pinceau et essuyé, sans jet.',
    },
    interior: { name: 'intérieur', means: 'Aspiré, essuyé, taches traitées dans la mesure du possible.' },
  },
  trade: {
    dents: 'débosselage sans peinture',
    wheels: 'rénovation de jantes',
    paint: 'remise en peinture',
    film: 'film de protection',
    glass: 'réparation de vitrage',
    upholstery: 'sellerie',
  },
  skill: { prep: 'préparation', correct: 'correction', coat: 'protection céramique' },
  activity: {
    wash: 'lavage et décontamination',
    mask: 'masquage et inspection',
    cut: 'polissage à la machine',
    refine: 'polissage à la machine',
    polish: 'polissage à la machine',
    wipe: 'dégraissage avant protection',
    surface: 'autres surfaces',
    layer: 'application de la protection',
    hold: 'séchage',
    extra: 'options',
    vendor: 'prestations extérieures',
    look: 'inspection',
    finish: 'contrôle final',
  },
  care: {
    usual: 'Chaque zone est contrôlée sous une lampe d’inspection.',
    highest:
      'Travail par petites zones, à vitesse lente ; chaque zone est contrôlée deux fois sous deux lampes.',
  },
}
