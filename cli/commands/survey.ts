import { judge, type Readings, readingsFromCsv, SCHOOLS } from '@/core/survey'
import { isShape, PAINT_SYSTEMS, panelsOf, SHAPES } from '@/core/vehicle'
import { readingsFaultText } from '@/text/en/readings-file'
import { FINDING_NAME, findingText, limitText } from '@/text/en/survey'
import type { Command } from '../command'
import { BadInput, readArguments, readBytes } from '../input'
import { PLAIN } from '../region'

const USAGE = `survey FILE.csv --shape ${SHAPES.join('|')} [--paint SYSTEM] [--school SCHOOL]`

function choice<T extends string>(
  name: string,
  value: string | undefined,
  list: readonly T[],
  otherwise: T,
): T {
  const found = list.find((each) => each === (value ?? otherwise))
  if (!found) throw new BadInput([`--${name}: “${value}” is none of ${list.join(', ')}.`])
  return found
}

/** Judges a car from a table of depth readings: panels, budget, grade. */
export const survey: Command = {
  usage: USAGE,
  run(args) {
    const text = { type: 'string' } as const
    const { positionals, values } = readArguments(
      args,
      { shape: text, paint: text, school: text },
      { count: 1, usage: USAGE },
    )
    const shape = values.shape ?? ''
    if (!isShape(shape)) throw new BadInput([`--shape: “${shape}” is none of ${SHAPES.join(', ')}.`])
    const panels = panelsOf(shape)
    const readings = readingsFromCsv(readBytes(positionals[0]!), panels)
    if (!readings.ok) throw new BadInput(readings.error.map((error) => readingsFaultText(PLAIN, error)))
    const paintSystem = choice('paint', values.paint, PAINT_SYSTEMS, 'clear-over-base')
    const school = choice('school', values.school, SCHOOLS, 'both')
    return { json: judged(shape, panels, readings.value, paintSystem, school), exitCode: 0 }
  },
}

type JudgeInput = Parameters<typeof judge>[0]

function judged(
  shape: string,
  panels: JudgeInput['panels'],
  readings: Readings,
  paintSystem: JudgeInput['paintSystem'],
  school: JudgeInput['school'],
) {
  const result = judge({ panels, paintSystem, school, readings, defects: {} })
  return {
    shape,
    paintSystem,
    school,
    ...(result.baseline ? { baseline: result.baseline } : {}),
    panels: result.panels.map(({ panel, statistics, finding, budget }) => ({
      id: panel.id,
      name: panel.name,
      substrate: panel.substrate,
      ...(statistics ? { statistics } : {}),
      finding: { ...finding, name: FINDING_NAME[finding.kind], reason: findingText(PLAIN, finding) },
      budgetUm: budget.budgetUm,
      budgetDecidedBy: limitText(PLAIN, budget.decidedBy),
      budgetLimits: budget.limits,
    })),
    // The least that any readable panel can spare limits what can be promised for the whole car.
    budget: {
      lowestUm: Math.min(
        ...result.panels.filter(({ statistics }) => statistics).map(({ budget }) => budget.budgetUm),
      ),
      panels: Object.fromEntries(result.panels.map(({ panel, budget }) => [panel.id, budget.budgetUm])),
    },
    grade: {
      index: null,
      letter: null,
      basis: 'not inspected: depth readings alone are no grade',
    },
  }
}
