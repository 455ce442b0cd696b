import type { Place } from '../vehicle'
import { DEFECT_MODEL, type Defect } from './defects'
import type { PanelJudgement } from './judge'
import { PLACE_DEFECT_MODEL, type PlaceDefect } from './place-defects'
import type { Prospect } from './prospect'

/**
 * What must be said before the work begins, in the customer's words: most disappointment starts where it was not.
 * Each line says where, what it rests on, and nothing a lamp could contradict.
 */

export const PROMISE_RULES = [
  'nail-catchers-stay',
  'chips-stay',
  'dents-stay',
  'failing-clear-stays',
  'stays-for-thin-paint',
  'too-deep-to-remove',
  'softened-only',
  'thin-panel-left',
  'earlier-correction',
  'repainted',
  'filler',
  'unread',
  'under-film',
  'beside-the-paint',
] as const
export type PromiseRule = (typeof PROMISE_RULES)[number]

export type PromiseLine = { rule: PromiseRule; where: string[]; text: string }

type Found = {
  panels: readonly PanelJudgement[]
  places: readonly { place: Place; defects: readonly PlaceDefect[] }[]
}

/** “the bonnet, the roof and the tailgate” */
function list(names: readonly string[]): string {
  const said = names.map((name) => `the ${name.toLowerCase()}`)
  if (said.length < 2) return said.join('')
  return `${said.slice(0, -1).join(', ')} and ${said.at(-1)}`
}

const sentence = (text: string) => text[0]!.toUpperCase() + text.slice(1)

function panelsWhere(panels: readonly PanelJudgement[], holds: (prospect: Prospect) => boolean): string[] {
  return panels.filter(({ prospects }) => prospects.some(holds)).map(({ panel }) => panel.name)
}

const stays = (why: string, kinds?: readonly Defect['kind'][]) => (prospect: Prospect) =>
  prospect.verdict === 'stays' && prospect.why === why && (!kinds || kinds.includes(prospect.defect.kind))

/** Kinds a customer calls by their own name, to be softened. */
function kindsSoftened(panels: readonly PanelJudgement[]): string {
  const names = panels.flatMap(({ prospects }) =>
    prospects.flatMap((prospect) =>
      prospect.verdict === 'softens' ? [DEFECT_MODEL[prospect.defect.kind].name.toLowerCase()] : [],
    ),
  )
  return [...new Set(names)].join(' and ')
}

type Rule = {
  rule: PromiseRule
  where: (found: Found) => string[]
  text: (where: string, found: Found) => string
}

const RULES: readonly Rule[] = [
  {
    rule: 'nail-catchers-stay',
    where: ({ panels }) =>
      panelsWhere(panels, (prospect) => stays('nail')(prospect) && prospect.defect.kind !== 'chips'),
    text: (where) =>
      `Scratches that catch a fingernail on ${where} stay. Polishing does not reach their ground, and once the paint round them is clear they can stand out more.`,
  },
  {
    rule: 'chips-stay',
    where: ({ panels }) =>
      panels
        .filter(({ prospects }) => prospects.some(({ defect }) => defect.kind === 'chips'))
        .map(({ panel }) => panel.name),
    text: (where) =>
      `Stone chips on ${where} stay. They are holes in the paint; touch-up is a job of its own.`,
  },
  {
    rule: 'dents-stay',
    where: ({ panels }) => panelsWhere(panels, stays('repair', ['dents'])),
    text: (where) => `Dents on ${where} stay. A dent remover can be called in before the polishing.`,
  },
  {
    rule: 'failing-clear-stays',
    where: ({ panels }) => panelsWhere(panels, stays('repair', ['clear-failure'])),
    text: (where) => `The clear coat on ${where} is coming away. Only a refinisher can put that right.`,
  },
  {
    rule: 'thin-panel-left',
    where: ({ panels }) =>
      panels.filter(({ finding }) => finding.kind === 'thin').map(({ panel }) => panel.name),
    text: (where) =>
      `The paint on ${where} is thin. It is cleaned and protected but not cut, and what marks it has stays.`,
  },
  {
    rule: 'stays-for-thin-paint',
    where: ({ panels }) =>
      panelsWhere(
        panels.filter(({ finding }) => finding.kind !== 'thin'),
        stays('too-little-paint'),
      ),
    text: (where) => `There is too little paint left on ${where} to polish the marks out. They stay.`,
  },
  {
    rule: 'too-deep-to-remove',
    where: ({ panels }) => panelsWhere(panels, stays('too-deep')),
    text: (where) => `Some marks on ${where} lie deeper than can safely be cut. They stay.`,
  },
  {
    rule: 'softened-only',
    where: ({ panels }) => panelsWhere(panels, ({ verdict }) => verdict === 'softens'),
    text: (where, { panels }) =>
      `${sentence(kindsSoftened(panels))} on ${where} will be softened, not removed: they will show less, under a lamp they will still be found.`,
  },
  {
    rule: 'earlier-correction',
    where: ({ panels }) =>
      panels
        .filter(({ budget }) =>
          budget.limits.some((limit) => limit.rule === 'lifetime' && limit.alreadyTakenUm > 0),
        )
        .map(({ panel }) => panel.name),
    text: (where) =>
      `Paint was taken from ${where} at an earlier visit. What remains is kept for the years to come, so less is cut there now.`,
  },
  {
    rule: 'repainted',
    where: ({ panels }) =>
      panels.filter(({ finding }) => finding.kind === 'repainted').map(({ panel }) => panel.name),
    text: (where) =>
      `${sentence(where)} ${where.includes(' and ') ? 'have' : 'has'} been painted again. Colour and gloss may differ a little from the rest, before and after.`,
  },
  {
    rule: 'filler',
    where: ({ panels }) =>
      panels.filter(({ finding }) => finding.kind === 'filler-likely').map(({ panel }) => panel.name),
    text: (where) =>
      `There is likely filler under the paint of ${where}. Old repairs can show once the surface is clear.`,
  },
  {
    rule: 'unread',
    where: ({ panels }) =>
      panels
        .filter(({ finding, condition }) => finding.kind === 'unreadable' && condition.costs.length > 0)
        .map(({ panel }) => panel.name),
    text: (where) =>
      `The paint on ${where} cannot be measured. Only the mildest polish is used there, and some marks stay.`,
  },
  {
    rule: 'under-film',
    where: ({ panels }) =>
      panels.filter(({ finding }) => finding.kind === 'film').map(({ panel }) => panel.name),
    text: (where, { panels }) =>
      panels.every(({ finding }) => finding.kind === 'film')
        ? 'The paint lies under a wrap or film. It is cleaned, not polished, and the paint beneath cannot be judged.'
        : `A film lies on ${where}. It is cleaned, not polished, and the paint beneath cannot be judged.`,
  },
]

/** The lines for one vehicle, the hardest to hear first. Places beside the paint each get a line of their own. */
export function promisesFor(found: Found): PromiseLine[] {
  const lines = RULES.flatMap((rule): PromiseLine[] => {
    const where = rule.where(found)
    return where.length > 0 ? [{ rule: rule.rule, where, text: rule.text(list(where), found) }] : []
  })
  const beside = found.places.flatMap(({ place, defects }) =>
    defects.map((defect): PromiseLine => {
      const { name, remedy } = PLACE_DEFECT_MODEL[defect.kind]
      const note = defect.note.trim() ? ` (${defect.note.trim()})` : ''
      return {
        rule: 'beside-the-paint',
        where: [place.name],
        text: `${place.name}: ${name.toLowerCase()}${note}. It was there when the car came in and is a matter for ${remedy}.`,
      }
    }),
  )
  return [...lines, ...beside]
}
