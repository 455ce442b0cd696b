import type { InspectedShare, Standing, WhyLeft } from '@/core/offer'
import type { Region } from '@/core/region'
import { letterOf, wholeIndex } from '@/core/survey'
import type { ExpectationWords } from '../expectation'
import { measured, percent } from '../formats'
import { fillerUnder, panelsAhead } from './sentence'

const standing = (index: number) => `${letterOf(index)} (${wholeIndex(index)} sur 100)`
/** What a condition rests on where not all of the car was inspected. */
const partly = ({ panels, of }: InspectedShare) => `d’après ${panels} éléments examinés sur ${of}`
const now = ({ before, inspected }: Standing) =>
  `État actuel de la peinture : ${standing(before)}${inspected ? `, ${partly(inspected)}` : ''}.`

function because(why: WhyLeft, region: Region): string {
  switch (why.code) {
    case 'thin':
      return `la peinture y est trop fine (${measured(region, 'depth', why.lowestUm)} au point le plus mince)`
    case 'nothing-to-spare':
      return 'il n’y a pas de réserve de peinture'
    case 'little-to-spare':
      return `la réserve de peinture n’est que de ${measured(region, 'depth', why.spareUm, 1)}`
    case 'slight':
      return 'les marques sont trop légères pour y sacrifier de la peinture'
    case 'rule':
      return RULE[why.rule]
  }
}

const RULE: Record<Extract<WhyLeft, { code: 'rule' }>['rule'], string> = {
  'never-polish-matte': 'le polissage laisse des zones brillantes sur une peinture mate',
  'never-cut-film': 'la peinture est sous un film',
  'no-paint-on-bare-metal': 'il n’y a pas de peinture sur le métal nu',
  'not-for-this-material': 'aucune de nos méthodes n’est prévue pour cette matière',
  'no-wool-on-metallic-single-stage':
    'une peinture métallisée sans vernis ne supporte pas un polissage aussi fort',
  'wool-with-care': 'une peinture sans vernis ne se polit qu’avec précaution',
  'gloss-plastic-by-consent':
    'le plastique noir brillant n’est poli qu’après un essai réussi, et avec votre accord',
  'fresh-paint': 'la peinture est récente et encore tendre',
  'fresh-paint-gently': 'la peinture est récente et encore tendre',
  'fresh-paint-unsealed': 'la peinture est récente et ne doit pas encore être scellée',
  'nothing-coarse-on-plastic': 'le plastique peint chauffe vite et ne peut pas être mesuré',
  'no-wool-over-filler': 'la chaleur pourrait y faire ressortir une ancienne réparation',
  'gently-over-filler': 'il y a probablement du mastic sous la peinture',
  'no-wool-on-light-marks': 'les marques ne demandent pas de laine',
  'disc-only-for-deep-marks': 'les marques ne demandent pas de ponçage',
  'milder-was-enough': 'notre essai a montré qu’un traitement plus doux suffit',
  'too-much-at-test-spot': 'notre essai a montré que le polissage ferait des dégâts',
  'no-all-in-one-under-coating':
    'le traitement céramique n’adhérerait pas sur ce que ce polish laisse derrière lui',
}

/** Of a coating and of what lasts a season alike. */
const protects = (life: string) =>
  `La protection facilite le lavage et garde la brillance environ ${life} avec un bon entretien, moins si la voiture dort dehors ou passe aux rouleaux. Elle n’empêche ni les éclats ni les rayures.`

export const expectationInFrench: ExpectationWords = {
  partly,
  result: {
    'not-inspected': () =>
      'La peinture n’a pas encore été examinée. Nous vous dirons à quoi vous attendre dès que nous l’aurons vue sous la lampe.',
    flawless: (state) => `${now(state)} Aucun défaut relevé : la voiture est protégée, pas corrigée.`,
    'no-gain': (state) =>
      `${now(state)} Un polissage n’y changerait rien ; la voiture est nettoyée et protégée.`,
    slight: ({ clearedPercent, ...state }, region) =>
      `${now(state)} Les marques sont légères ; environ ${percent(region, clearedPercent)} d’entre elles disparaîtront.`,
    improved: ({ after, clearedPercent, ...state }, region) =>
      `${now(state)} Attendu après notre travail : ${letterOf(after)} (${wholeIndex(after)}), avec environ ${percent(region, clearedPercent)} des marques supprimées.`,
  },
  paint: {
    'single-stage':
      'Cette voiture a une peinture sans vernis : chaque polissage enlève un peu de la teinte elle-même. Elle ne peut être polie qu’un nombre limité de fois au cours de sa vie.',
    matte: 'Une peinture mate ne se polit jamais. Ses marques resteront ; elle est nettoyée et protégée.',
    wrap: 'La voiture est sous covering : elle est nettoyée et protégée, et nous ne pouvons pas juger la peinture qu’il recouvre.',
    gelcoat:
      'L’épaisseur du gelcoat ne se mesure pas, mais il est épais : nous coupons et polissons jusqu’au retour de la brillance, et nous nous arrêtons là.',
    'bare-metal': 'Le métal nu n’a pas de peinture à polir ; il est nettoyé et protégé.',
  },
  left: (why, at, region) =>
    `${panelsAhead(region, at)} : pas de polissage, car ${because(why, region)}. Nettoyage et protection seulement.`,
  remains: {
    'improved-only': (at, region) =>
      `${panelsAhead(region, at)} : amélioration, sans correction complète ; aller plus loin enlèverait de la peinture nécessaire.`,
    'softened-only': (at, region) =>
      `${panelsAhead(region, at)} : certaines marques sont trop profondes pour être polies sans risque. Elles se verront moins, sans disparaître.`,
    filler: fillerUnder,
    'edge-taped': (at, region) =>
      `${panelsAhead(region, at)} : les bords sont trop minces pour être polis. Ils sont masqués, le reste est poli.`,
    'fresh-uncoated': (at, region) =>
      `${panelsAhead(region, at)} : la peinture a moins de 30 jours et reste tendre. Elle est polie en douceur tout au plus, et protégée plus tard.`,
    'under-film': (at, region) =>
      `${panelsAhead(region, at)} : reste sous son film ; nettoyage et protection, sans polissage.`,
    'film-comes-off': (at, region) =>
      `${panelsAhead(region, at)} : personne n’a vu la peinture sous l’ancien film. Une fois le film retiré, nous l’inspectons, la mesurons et vous disons ce qu’il lui faut ; au plus un polissage léger est prévu.`,
    'prep-skipped': (at, region) =>
      `${panelsAhead(region, at)} : la peinture est trop mince même pour le polissage léger sous la protection. Elle est protégée telle quelle.`,
    'spot-reduced': (at, region) =>
      `${panelsAhead(region, at)} : la retouche localisée atténue la marque la plus profonde ; la peinture n’en permet pas davantage.`,
    'spot-refused': (at, region) =>
      `${panelsAhead(region, at)} : pas de retouche localisée, la peinture ne la permet pas. La marque reste.`,
    chips: (at, region) =>
      `${panelsAhead(region, at)} : les éclats de gravillons resteront et pourront se voir davantage une fois la peinture nette autour d’eux.`,
    'chips-touched-up': (at, region) =>
      `${panelsAhead(region, at)} : les éclats de gravillons sont retouchés ; scellés et moins visibles, on pourra encore les repérer.`,
    'nail-touched-up': (at, region) =>
      `${panelsAhead(region, at)} : les rayures qui accrochent l’ongle sont retouchées ; scellées et moins visibles, on pourra encore les repérer.`,
    nail: (at, region) =>
      `${panelsAhead(region, at)} : les rayures qui accrochent l’ongle resteront et pourront se voir davantage une fois la peinture nette autour d’elles.`,
  },
  bestFinish:
    'C’est le meilleur résultat que cette peinture puisse atteindre sans risque dans le temps prévu ; il ne sera pas parfait. Quelques marques resteront visibles sous une lampe d’inspection.',
  someOnly:
    'C’est ce que le temps prévu permet de faire sans risque pour cette peinture : elle paraîtra plus fraîche, mais ce n’est pas une correction. La plupart des marques resteront visibles sous une lampe d’inspection.',
  gloss: (gu) =>
    `La brillance visée est de ${gu} GU, mesurée à 60° après chaque étape ; une fois atteinte, on n’enlève plus de peinture.`,
  coating: protects,
  seasonal: protects,
}
