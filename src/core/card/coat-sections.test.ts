import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { toJobId, toOperationId, toPersonId } from '../ids'
import type { LiveJob } from '../job'
import { makeOffer } from '../offer'
import { offerInput, template } from '../offer/offer.fixture'
import { instantOrThrow, plusMinutes } from '../time'
import type { CoatStage, Entry } from './act'
import {
  coatAt,
  coatSections,
  coatSectionsOf,
  nextFor,
  nextStage,
  stageOf,
  towelsPlanned,
} from './coat-sections'
import { conflictOf } from './conflict'
import { type CardState, cardOf, withEntry, workOn } from './state'

const NINE = instantOrThrow('2027-01-13T09:00:00Z')
const LAYER = toOperationId('layer-1')
const job: LiveJob = {
  id: toJobId('J'),
  arrive: NINE,
  weight: 1,
  plan: makeOffer(template('headland'), offerInput()).plan,
  progress: { 'layer-1': { kind: 'started', at: NINE, by: toPersonId('brida') } },
  published: [],
}
const TASKS = [
  { panel: 'bonnet', sections: 4 },
  { panel: 'roof', sections: 5 },
  { panel: 'left-mirror', sections: 1 },
]
let count = 0
const coat = (panel: string, section: number | undefined, stage: CoatStage, by = 'brida'): Entry => {
  count += 1
  return {
    kind: 'coat',
    id: `c${count}`,
    job: toJobId('J'),
    by: toPersonId(by),
    at: plusMinutes(NINE, count),
    operation: LAYER,
    panel,
    ...(section === undefined ? {} : { section }),
    stage,
  }
}
function take(entries: readonly Entry[], from: CardState = cardOf(job, [])) {
  const refused: string[] = []
  const card = entries.reduce((known, entry) => {
    const conflict = conflictOf(job, known, entry)
    if (conflict) refused.push(conflict.code)
    return conflict ? known : withEntry(known, entry)
  }, from)
  return { card, refused, sections: coatSections(workOn(card, LAYER), TASKS) }
}

describe('a coat goes on section by section', () => {
  test('as many as fit into a panel by the edge of a section; never less than one', () => {
    expect(coatSectionsOf(1.5, 0.6)).toBe(4)
    expect(coatSectionsOf(0.05, 0.6)).toBe(1)
    expect(coatSectionsOf(1.5, 0.9)).toBe(2)
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 12, noNaN: true }),
        fc.double({ min: 0.3, max: 2, noNaN: true }),
        (area, edge) => {
          const sections = coatSectionsOf(area, edge)
          expect(sections).toBeGreaterThanOrEqual(1)
          // No section is half as large again as what the sheet speaks of, but for the rounding of a single one.
          expect(area / sections).toBeLessThanOrEqual(1.5 * edge ** 2 + 1e-9)
        },
      ),
    )
  })
  test('each has its own clock, and is applied, levelled and checked by itself', () => {
    const { sections } = take([
      coat('bonnet', 1, 'wet'),
      coat('bonnet', 2, 'wet'),
      coat('bonnet', 1, 'level'),
    ])
    expect(sections.map(stageOf).slice(0, 4)).toEqual(['level', 'wet', 'bare', 'bare'])
    expect(sections[0]!.known!.at < sections[1]!.known!.at).toBe(false)
    expect(nextFor(sections.slice(0, 4), 'wet')?.section).toBe(3)
    expect(nextFor(sections.slice(0, 4), 'level')?.section).toBe(2)
    expect(nextFor(sections.slice(0, 4), 'good')?.section).toBe(1)
  })
  test('one applies while another levels; what somebody else has levelled is not levelled once more', () => {
    const { card, refused } = take([
      coat('bonnet', 1, 'wet', 'brida'),
      coat('bonnet', 1, 'level', 'senan'),
      coat('bonnet', 1, 'level', 'merle'),
    ])
    expect(refused).toEqual(['section-already'])
    expect(coatAt(workOn(card, LAYER), 'bonnet', 1)).toMatchObject({ stage: 'level', by: 'senan' })
  })
  test('what was said of a whole panel, as old tablets say it, holds for each of its sections', () => {
    const { sections } = take([coat('bonnet', 2, 'wet'), coat('bonnet', undefined, 'level')])
    expect(sections.filter(({ panel }) => panel === 'bonnet').map(stageOf)).toEqual(Array(4).fill('level'))
    const after = take([coat('bonnet', undefined, 'level'), coat('bonnet', 3, 'good')]).sections
    expect(after.filter(({ panel }) => panel === 'bonnet').map(stageOf)).toEqual([
      'level',
      'level',
      'good',
      'level',
    ])
  })
  test('whoever says the next stage of the section that has waited longest comes to the end, whatever the order', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom<CoatStage>('wet', 'level', 'good'), { maxLength: 40 }), (said) => {
        let card = cardOf(job, [])
        for (const stage of said) {
          const next = nextFor(coatSections(workOn(card, LAYER), TASKS), stage)
          if (next) card = withEntry(card, coat(next.panel, next.section, stage))
        }
        const sections = coatSections(workOn(card, LAYER), TASKS)
        const at = (stage: CoatStage) => sections.filter((section) => stageOf(section) === stage).length
        expect(at('bare') + at('wet') + at('level') + at('good')).toBe(10)
        expect(sections.filter((section) => nextStage(section) === undefined)).toHaveLength(at('good'))
      }),
    )
  })
  test('two towels are planned for every section', () => {
    expect(towelsPlanned(TASKS)).toBe(20)
  })
})
