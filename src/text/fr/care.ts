import type { CareWords } from '../care'
import { paperDay } from '../formats'

const VISIT =
  'Lavage, puis comportement de l’eau, brillance et épaisseur de peinture sur chaque élément, et un spray d’entretien frais. Environ trois heures.'

const VISIT_REASON: CareWords['visitReason'] = {
  first: 'Le premier contrôle, une fois le traitement stabilisé.',
  rhythm: 'Le rythme qui convient à ce traitement et à l’usage de la voiture.',
  outlook: 'Le traitement pourrait arriver en fin de vie avant la visite habituelle.',
  asked: 'À votre demande.',
}

export const careInFrench: CareWords = {
  milestone: {
    'indoors-until': {
      title: 'À garder à l’abri',
      advice: 'Sous un toit et loin de la rosée, pour que rien ne se dépose sur le traitement encore frais.',
    },
    'dry-until': {
      title: 'À garder au sec',
      advice: 'Ni pluie, ni rosée, ni jet d’eau. Tamponnez une goutte avec un chiffon doux, sans frotter.',
    },
    'topper-from': {
      title: 'Spray d’entretien possible',
      advice: 'À partir de cette date, un spray d’entretien peut servir d’aide au séchage.',
    },
    'first-wash': {
      title: 'Premier lavage',
      advice: 'À la main : deux seaux, un gant propre, un shampoing doux. Pas de rouleaux.',
    },
    'full-cure': { title: 'Durcissement terminé', advice: 'Le traitement a atteint toute sa dureté.' },
    'wheel-check': {
      title: 'Écrous de roues à recontrôler',
      advice:
        'Après les 50 à 100 premiers kilomètres, à la clé dynamométrique : chez nous ou dans n’importe quel garage. Si quelque chose cogne, arrêtez-vous et faites-les contrôler aussitôt.',
    },
    'first-visit': {
      title: 'Première visite de contrôle',
      advice:
        'Nous contrôlons le comportement de l’eau, la brillance et l’épaisseur de peinture de chaque élément, et nous lavons la voiture. La brillance lue ce jour sert de référence aux visites suivantes.',
    },
  },
  date: {
    topper: ({ hard }) => ({
      title: hard ? 'Spray d’entretien, toutes les deux semaines' : 'Spray d’entretien, une fois par mois',
      advice: 'Un peu sur l’élément humide après le lavage : étalez, puis essuyez à sec.',
      reason: hard
        ? 'Cette voiture est très sollicitée : le spray s’use à la place du traitement.'
        : 'Il garde le traitement bien lisse.',
    }),
    decontamination: ({ season }) => ({
      title: 'Décontamination (fer et goudron)',
      advice:
        'À nous confier : ces produits demandent des gants, des lunettes de protection et une carrosserie froide.',
      reason:
        season === 'after-winter'
          ? 'Après le sel : ce que l’hiver a laissé s’incruste dans la peinture.'
          : 'Avant le sel : il glisse mieux sur un traitement propre.',
    }),
    visit: ({ why, missedBy }, region) => ({
      title: missedBy
        ? `Visite de contrôle en retard (à faire avant le ${paperDay(region, missedBy)})`
        : 'Visite de contrôle : nous examinons chaque élément',
      advice: missedBy ? `Prenez rendez-vous dès maintenant. ${VISIT}` : VISIT,
      reason: VISIT_REASON[why],
    }),
    'light-polish': ({ spare }) =>
      spare
        ? {
            title: 'Léger polissage là où c’est utile',
            advice:
              'Nous examinons d’abord, puis nous polissons seulement les éléments qui en ont besoin. Un élément poli est traité à nouveau.',
            reason: 'Au bout d’un an environ, les marques les plus fines s’accumulent.',
          }
        : {
            title: 'Plus de polissage',
            advice:
              'L’élément le plus mince n’a plus de peinture à céder. Nous nettoyons et renouvelons la protection, sans polir.',
            reason: 'C’est ce que montre notre relevé de toute la peinture enlevée.',
          },
    renewal: ({ wornBy }, region) =>
      wornBy
        ? {
            title: `Nouveau traitement : l’ancien a probablement disparu (depuis le ${paperDay(region, wornBy)})`,
            advice:
              'Prenez rendez-vous pour un contrôle : nous vérifions ce qu’il en reste avant de traiter à nouveau.',
            reason: 'Il devait tenir jusqu’à cette date au plus tard.',
          }
        : {
            title: 'Nouveau traitement',
            advice:
              'De préférence avant que l’ancien ait complètement disparu : il faut alors moins de préparation.',
            reason: 'À partir de cette date, le traitement peut commencer à faiblir.',
          },
  },
  visitReason: VISIT_REASON,
  rule: {
    'two-buckets': () => ({
      text: 'Lavez avec deux seaux, un gant propre et un shampoing doux.',
      reason: 'Le sable reste dans le second seau au lieu de revenir sur la peinture.',
    }),
    'dry-by-touch': () => ({
      text: 'Séchez en tamponnant avec une serviette douce.',
      reason: 'L’eau qui sèche toute seule laisse son calcaire.',
    }),
    'droppings-at-once': () => ({
      text: 'Détrempez fientes et résine avec un chiffon mouillé le jour même, puis soulevez-les.',
      reason: 'Au soleil, elles attaquent un traitement en un jour ou deux ; frotter à sec raye.',
    }),
    'topper-as-aid': () => ({
      text: 'Utilisez le spray d’entretien comme aide au séchage une ou deux fois par mois.',
      reason: 'Il s’use à la place du traitement.',
    }),
    'rinse-salt': () => ({
      text: 'En hiver, rincez le sel chaque semaine, bas de caisse et passages de roues compris.',
      reason: 'Le sel reste humide et continue d’agir.',
    }),
    'iron-and-tar': () => ({
      text: 'Faites enlever le fer et le goudron lors de la visite de contrôle.',
      reason: 'Ils recouvrent le traitement et le font paraître usé alors qu’il est seulement sale.',
    }),
    'no-brushes': ({ guaranteed }) => ({
      text: 'Le lavage aux rouleaux, même une seule fois.',
      reason: `Les brosses portent le sable de toutes les voitures passées avant la vôtre.${guaranteed ? ' Il met aussi fin à la garantie.' : ''}`,
    }),
    'no-harsh': () => ({
      text: 'Les dégraissants puissants et les produits contre le film routier sur la peinture.',
      reason: 'Ils enlèvent le traitement peu à peu.',
    }),
    'no-sun': () => ({
      text: 'Laver au soleil ou sur une carrosserie chaude.',
      reason: 'Shampoing et eau sèchent en taches plus vite que vous ne rincez.',
    }),
    'no-polish': () => ({
      text: 'Les polishs, et tout produit portant la mention « cleaner ».',
      reason: 'Un polish enlève d’abord le traitement, puis la peinture.',
    }),
    'hard-water-spots': () => ({
      text: 'Laisser sécher l’eau du robinet sur la peinture.',
      reason:
        'Votre eau est calcaire et ses taches attaquent. Rincez en dernier à l’eau filtrée ou à l’eau de pluie si vous le pouvez.',
    }),
    'street-cover': () => ({
      text: 'Bâcher la voiture quand elle est humide ou poussiéreuse.',
      reason: 'Une bâche frotte, et ce qui est dessous ne peut pas sécher.',
    }),
  },
  do: 'À faire',
  avoid: 'À éviter',
  firstDays: 'Laver, cirer ou vaporiser quoi que ce soit sur la peinture avant les premières dates.',
  when: {
    until: (moment) => `jusqu’au ${moment}`,
    over: (moment) => `terminé depuis le ${moment}`,
    from: (day) => `à partir du ${day}`,
    span: (first, last) => `du ${first} au ${last}`,
  },
}
