import type { CareWords } from '../care'
import { paperDay } from '../formats'
import type { Terms } from './terms'

const VISIT =
  'A wash, then the water behaviour, gloss and paint depth of every panel, and a fresh topper. About three hours.'

export const careInEnglish = (terms: Terms): CareWords => ({
  milestone: {
    'indoors-until': {
      title: 'Keep indoors',
      advice: 'Under a roof and away from dew, so that nothing settles in the fresh coating.',
    },
    'dry-until': {
      title: 'Keep dry',
      advice: 'No rain, no dew, no hose. Blot any drop with a soft cloth; do not rub.',
    },
    'topper-from': {
      title: 'Topper can be used',
      advice: 'From here on a topper (maintenance spray) can be used as a drying aid.',
    },
    'first-wash': {
      title: 'First wash',
      advice: 'By hand: two buckets, a clean mitt, a mild shampoo. No brush car wash.',
    },
    'full-cure': { title: 'Fully cured', advice: 'The coating has reached full hardness.' },
    'wheel-check': {
      title: 'Wheel nuts checked again',
      advice:
        'After the first 50 to 100 km, with a torque wrench: here or at any garage. Stop and have them checked at once if anything knocks.',
    },
    'first-visit': {
      title: 'First inspection visit',
      advice:
        'We check the water behaviour, gloss and paint depth of every panel, and wash the car. The gloss read then is what later visits are compared with.',
    },
  },
  date: {
    topper: ({ hard }) => ({
      title: hard ? 'Topper, every two weeks' : 'Topper, once a month',
      advice: 'A little on the damp panel after washing: spread it, then buff it dry.',
      reason: hard
        ? 'This car has a hard life; the topper wears instead of the coating.'
        : 'It keeps the coating slick.',
    }),
    decontamination: ({ season }) => ({
      title: 'Decontamination (iron and tar)',
      advice: 'Best left to us: the removers need gloves, eye protection and a cool panel.',
      reason:
        season === 'after-winter'
          ? 'After the salt: what winter leaves behind sits in the paint.'
          : 'Before the salt: a clean coating sheds it better.',
    }),
    visit: ({ why, missedBy }, region) => ({
      title: missedBy
        ? `Inspection visit overdue (was due by ${paperDay(region, missedBy)})`
        : 'Inspection visit: we check every panel',
      advice: missedBy ? `Please book now. ${VISIT}` : VISIT,
      reason: VISIT_REASON[why],
    }),
    'light-polish': ({ spare }) =>
      spare
        ? {
            title: 'Light polish where needed',
            advice: 'We inspect first and polish only the panels that need it. A polished panel is recoated.',
            reason: 'After about a year the finest marks add up.',
          }
        : {
            title: 'No more polishing',
            advice:
              'The thinnest panel has no more paint to spare. We will clean and top up the protection, but not polish.',
            reason: 'Our record of all paint ever removed shows it.',
          },
    renewal: ({ wornBy }, region) =>
      wornBy
        ? {
            title: `Recoating: the coating has probably worn off (by ${paperDay(region, wornBy)})`,
            advice: 'Please book an inspection: we check what is left before we recoat.',
            reason: 'It should have lasted until then at the most.',
          }
        : {
            title: 'Recoating',
            advice: 'Best done before the old coating has fully worn off, as it needs less preparation.',
            reason: 'From this date the coating may start to fail.',
          },
  },
  visitReason: VISIT_REASON,
  rule: {
    'two-buckets': () => ({
      text: 'Wash with two buckets, a clean mitt and a mild shampoo.',
      reason: 'Grit stays in the second bucket instead of going back onto the paint.',
    }),
    'dry-by-touch': () => ({
      text: 'Pat it dry with a soft towel.',
      reason: 'Water that dries by itself leaves its lime behind.',
    }),
    'droppings-at-once': () => ({
      text: 'Soak bird droppings and sap with a wet cloth the same day, then lift them off.',
      reason: 'They etch through a coating in a day or two of sun; rubbing them dry scratches.',
    }),
    'topper-as-aid': () => ({
      text: 'Use the topper (maintenance spray) as a drying aid once or twice a month.',
      reason: 'It takes the wear that the coating would otherwise take.',
    }),
    'rinse-salt': () => ({
      text: `Rinse the salt off every week in winter, ${terms.sills} and ${terms.wheelArches} too.`,
      reason: 'Salt stays wet and keeps working.',
    }),
    'iron-and-tar': () => ({
      text: 'Have iron and tar removed at the inspection visit.',
      reason: 'They sit on the coating and make it look worn out when it is only dirty.',
    }),
    'no-brushes': ({ guaranteed }) => ({
      text: 'Brush car washes, even once.',
      reason: `The brushes carry the grit of every car before yours.${guaranteed ? ' It also ends the guarantee.' : ''}`,
    }),
    'no-harsh': () => ({
      text: 'Strong degreasers and traffic-film remover on the paint.',
      reason: 'They strip the coating little by little.',
    }),
    'no-sun': () => ({
      text: 'Washing in the sun or while the paint is hot.',
      reason: 'Shampoo and water dry into spots faster than you can rinse.',
    }),
    'no-polish': () => ({
      text: 'Polishes, and any product labelled “cleaner”.',
      reason: 'Polish removes the coating first and then the paint.',
    }),
    'hard-water-spots': () => ({
      text: 'Letting your tap water dry on the paint.',
      reason: 'Your water is hard and its spots etch. Rinse last with filtered or rain water where you can.',
    }),
    'street-cover': () => ({
      text: 'Covering the car while it is damp or dusty.',
      reason: 'A cover rubs, and what is under it cannot dry.',
    }),
  },
  do: 'Do',
  avoid: 'Avoid',
  firstDays: 'Washing, waxing or spraying anything on the paint before the first dates have passed.',
  when: {
    until: (moment) => `until ${moment}`,
    over: (moment) => `over since ${moment}`,
    from: (day) => `from ${day}`,
    span: (first, last) => `${first} to ${last}`,
  },
})

const VISIT_REASON: CareWords['visitReason'] = {
  first: 'The first check once the coating has settled.',
  rhythm: 'The interval that suits this coating and how the car is used.',
  outlook: 'The coating may be near its end before the usual visit.',
  asked: 'Requested by the owner.',
}
