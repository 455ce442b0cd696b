import type { PersonId } from '../ids'
import type { Instant } from '../time'
import type { CoatStage } from './act'
import type { StepWork } from './state'

/** A coat section by section: each is applied, flashes, is levelled, and is buffed and looked at with the lamp, on a clock of its own. */

/** Where one section has come to, since when and by whom. */
export type CoatAt = { stage: CoatStage; at: Instant; by: PersonId }

/** Sections of a panel by its area and the edge of a section, both in m: no panel has less than one. */
export const coatSectionsOf = (areaM2: number, sectionM: number): number =>
  Math.max(1, Math.round(areaM2 / sectionM ** 2))

/** Under which name a section is kept; without a number it is the whole panel, as tablets said it before. */
export const coatKey = (panel: string, section: number | undefined): string =>
  section === undefined ? panel : `${panel}/${section}`

/** What is known of a section; of one nobody spoke of, what was said of its panel. Numbers begin at 1. */
export const coatAt = (
  { coats }: Pick<StepWork, 'coats'>,
  panel: string,
  section: number,
): CoatAt | undefined => coats[coatKey(panel, section)] ?? coats[panel]

export type CoatSection = { panel: string; section: number; of: number; known: CoatAt | undefined }

/** All sections of these panels, panel by panel. */
export const coatSections = (
  work: Pick<StepWork, 'coats'>,
  tasks: readonly { panel: string; sections: number }[],
): CoatSection[] =>
  tasks.flatMap(({ panel, sections }) =>
    Array.from({ length: sections }, (_, at) => ({
      panel,
      section: at + 1,
      of: sections,
      known: coatAt(work, panel, at + 1),
    })),
  )

export const stageOf = ({ known }: Pick<CoatSection, 'known'>): CoatStage => known?.stage ?? 'bare'

/** The stage that comes after one; undefined where a section is finished. */
const NEXT: Partial<Record<CoatStage, CoatStage>> = { bare: 'wet', wet: 'level', level: 'good' }
export const nextStage = (section: Pick<CoatSection, 'known'>): CoatStage | undefined =>
  NEXT[stageOf(section)]

/** The section of a list that a stage is said of next: the one that has waited for it longest. */
export function nextFor(sections: readonly CoatSection[], stage: CoatStage): CoatSection | undefined {
  return sections
    .filter((section) => nextStage(section) === stage)
    .toSorted((a, b) => (a.known?.at ?? '').localeCompare(b.known?.at ?? ''))[0]
}

/** A levelling and a buffing face a section at the least, none used twice (common practice: two or three). */
const TOWELS_A_SECTION = 2
export const towelsPlanned = (tasks: readonly { sections: number }[]): number =>
  TOWELS_A_SECTION * tasks.reduce((sum, { sections }) => sum + sections, 0)
