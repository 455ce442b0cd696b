import {
  type ChoiceSettings,
  offered,
  optionsOf,
  PANEL_GROUPS,
  type PanelGroup,
  type PanelOption,
  panelGroup,
  SEEDED_METHODS,
  seededMethod,
  vehicleFrontier,
  worked,
} from '../correction'
import { toVehicleId } from '../ids'
import {
  DEFECT_MODEL,
  type Defect,
  judge,
  letterOf,
  type PanelJudgement,
  type VehicleJudgement,
  wholeIndex,
} from '../survey'
import {
  type Attempt,
  adviceFor,
  depthOf,
  factorOf,
  type GroupStudy,
  type KnownCar,
  type PaintKey,
  paintKnowledge,
  type StudyInput,
  studyGroup,
} from '../test-spot'
import { type PanelsFacts, panelsOf } from '../vehicle'
import { type Case, JUDGEMENT_FORMAT } from './schema'

/** Everything that is judged of a case, by the core the screens use. */

const PAINT: PaintKey = {
  make: 'case',
  colour: 'case',
  colourCode: 'case',
  year: 2020,
  paintSystem: 'clear-over-base',
}
const COUSIN: Record<Case['cousins'][number]['paintClass'], Partial<PaintKey>> = {
  same: {},
  colour: { colourCode: '' },
  maker: { colourCode: '', colour: '' },
  time: { make: '', colourCode: '', colour: '' },
}

/** Readings of one kind of area by panel, spot after spot, and how many each spot was given. */
function readingsOf({ readings }: Case, area: 'field' | 'edge') {
  const byPanel: Record<string, number[]> = {}
  const sizes: Record<string, number[]> = {}
  for (const each of readings.filter((reading) => reading.area === area)) {
    byPanel[each.panel] = [...(byPanel[each.panel] ?? []), ...each.um]
    sizes[each.panel] = [...(sizes[each.panel] ?? []), each.um.length]
  }
  return { byPanel, sizes }
}

const factsOf = ({ vehicle }: Case): PanelsFacts =>
  Object.fromEntries(
    Object.entries(vehicle.panels).map(([panel, { absent, ...facts }]) => [
      panel,
      { ...(facts as PanelsFacts[string]), ...(absent ? { absent } : {}) },
    ]),
  )

function judgedCase(told: Case): VehicleJudgement {
  const [field, edges] = [readingsOf(told, 'field'), readingsOf(told, 'edge')]
  const defects: Record<string, Defect[]> = {}
  for (const { panel, ...defect } of told.defects) defects[panel] = [...(defects[panel] ?? []), defect]
  const taken = Object.fromEntries(
    told.ledger.map(({ panel }) => {
      const own = told.ledger.filter((entry) => entry.panel === panel)
      return [
        panel,
        {
          takenUm: own.reduce((sum, { takenUm }) => sum + takenUm, 0),
          uncertaintyUm: Math.hypot(...own.map(({ uUm }) => uUm)),
        },
      ]
    }),
  )
  return judge({
    panels: panelsOf(told.vehicle.shape),
    paintSystem: told.vehicle.paint,
    ...(told.vehicle.finish ? { finish: told.vehicle.finish } : {}),
    facts: factsOf(told),
    school: told.school,
    readings: field.byPanel,
    spotSizes: field.sizes,
    edges: edges.byPanel,
    defects,
    taken,
    inspected: told.inspected,
  })
}

/** The mark a spot was judged by: what polishing clears and costs its panel most. */
function markOn(judged: PanelJudgement | undefined): Attempt['mark'] {
  const worst = judged?.condition.costs
    .filter(({ defect }) => DEFECT_MODEL[defect.kind].mend === 'polish' && !defect.catchesNail)
    .toSorted((a, b) => b.points - a.points)[0]?.defect
  return worst ? { kind: worst.kind, severity: worst.severity } : { kind: 'swirls', severity: 2 }
}

function attemptsOf(told: Case, { panels }: VehicleJudgement): Attempt[] {
  return told.spots.flatMap((spot): Attempt[] => {
    const judged = panels.find(({ panel }) => panel.id === spot.panel)
    if (!judged) return []
    const steps = worked(seededMethod(spot.method)).steps.map(
      ({ machine, pad, liquid, dial, ...step }, at) => ({
        machine,
        pad,
        liquid,
        product: '',
        dial,
        passes: at === 0 ? (spot.passes ?? step.passes) : step.passes,
        sectionM: step.sectionM,
      }),
    )
    return [
      {
        panel: spot.panel,
        group: panelGroup(judged),
        process: spot.method,
        steps,
        mark: markOn(judged),
        cleared: spot.clearedPercent / 100,
        haze: 'none',
        heat: 'warm',
        beforeUm: [],
        afterUm: [],
        ...(spot.removedUm === undefined
          ? {}
          : { removed: { removedUm: spot.removedUm, uncertaintyUm: spot.uUm ?? SPOT_U_UM } }),
        verdict: spot.verdict,
        note: '',
      },
    ]
  })
}

/** How surely a removal at a spot is known where nobody says, µm: two readings of three at one place. */
const SPOT_U_UM = 0.8

function studyOf(told: Case, judgement: VehicleJudgement): StudyInput {
  const groups = new Set(judgement.panels.map(panelGroup))
  const memory = told.cousins.flatMap(({ paintClass, rate, uRate }, at) =>
    [...groups].map(
      (group): KnownCar => ({
        vehicleId: toVehicleId(`cousin-${at}`),
        paint: { ...PAINT, ...COUSIN[paintClass] },
        group,
        give: { log: Math.log(rate), variance: (uRate / rate) ** 2 },
      }),
    ),
  )
  return {
    hardness: told.vehicle.hardness,
    paint: PAINT,
    memory,
    methods: SEEDED_METHODS,
    attempts: attemptsOf(told, judgement),
  }
}

const WORD = { yes: 'yes', consent: 'consent', no: 'no' } as const

function allowedOf({ broken, cautions, held }: PanelOption) {
  const stop = broken.find(({ level }) => level === 'stop')
  if (stop) return { allowed: WORD.no, code: stop.id }
  const [consent] = broken
  if (consent) return { allowed: WORD.consent, code: consent.id }
  return { allowed: WORD.yes, code: cautions[0]?.id ?? (held ? `held-by-${held}` : 'allowed') }
}

const round = (value: number, digits = 2) => Number(value.toFixed(digits))

function groupJudged(study: GroupStudy, first: PanelJudgement, settings: ChoiceSettings) {
  const rate = factorOf(study.give).factor
  const depth = depthOf(study)
  const open = optionsOf(first, {
    ...settings,
    knowledge: { ...settings.knowledge, [study.group]: untried(settings, study.group) },
  })
    .filter(({ broken, method }) => method.steps.length > 0 && broken.every(({ level }) => level !== 'stop'))
    .map(({ method }) => seededMethod(method.key))
  const advice = adviceFor(study, open)
  return {
    group: study.group,
    rate: round(rate, 3),
    sdRate: round(rate * Math.sqrt(study.give.variance), 3),
    depthFactor: round(depth.factor, 3),
    sdDepth: round(depth.factor * depth.sd, 3),
    next: {
      method: advice.kind === 'end' ? null : advice.process,
      code: advice.kind === 'settled' ? 'settled' : advice.why.code,
      why: advice.why.code,
    },
  }
}

/** A spot is there to find out: what spots have shown does not keep the next one from being tried. */
function untried({ knowledge }: ChoiceSettings, group: PanelGroup) {
  const { give, depth } = knowledge[group]
  return { give, depth, tooMuch: [], good: [] }
}

/** Judges a case: `fern-yard/judgement@1`. Lengths in µm, minutes of one person, shares in percent. */
export function judgeCase(told: Case) {
  const judgement = judgedCase(told)
  const study = studyOf(told, judgement)
  const methods = offered(SEEDED_METHODS)
  const settings: ChoiceSettings = {
    methods,
    knowledge: paintKnowledge(study),
    care: 'usual',
    strongest: methods.at(-1)!.key,
    underCoating: false,
    ...(told.today ? { today: told.today } : {}),
  }
  const frontier = vehicleFrontier(judgement.panels, settings)
  const minutes = told.minutes ?? frontier.points.at(-1)!.minutes
  const point = frontier.points.findLast((each) => each.minutes <= minutes) ?? frontier.points[0]!
  const plan = frontier.planAt(point.minutes)
  const { grade, baseline } = judgement
  return {
    format: JUDGEMENT_FORMAT,
    car: {
      grade: grade?.letter ?? null,
      index: grade ? wholeIndex(grade.index) : null,
      inspected: judgement.panels.filter(({ inspected }) => inspected).length,
      of: judgement.panels.length,
      worst: grade ? { panel: grade.worst.panel.id, grade: grade.worst.condition.letter } : null,
      levelUm: baseline ? round(baseline.medianUm) : null,
      remarks: judgement.remarks,
    },
    panels: judgement.panels.map((judged) => panelJudged(judged)),
    groups: PANEL_GROUPS.flatMap((group) => {
      const first = judgement.panels.find((judged) => panelGroup(judged) === group)
      return first ? [groupJudged(studyGroup(group, study), first, settings)] : []
    }),
    methods: judgement.panels.flatMap((judged) =>
      optionsOf(judged, settings).map((option) => ({
        panel: judged.panel.id,
        method: option.method.key,
        ...allowedOf(option),
        passes: option.method.steps[0]?.passes ?? 0,
        removedUm: round(option.removalUm, 3),
        minutes: round(option.minutes, 1),
        clearedPercent: round(100 * option.cleared, 1),
        ...(option.tapeEdge ? { tapeEdge: true } : {}),
      })),
    ),
    plan: {
      minutes: point.minutes,
      points: round(point.gain, 3),
      panels: Object.fromEntries(
        plan.panels.map(({ judged, option }) => [judged.panel.id, option.method.key]),
      ),
    },
  }
}

function panelJudged({ panel, inspected, statistics, finding, budget, condition, edge }: PanelJudgement) {
  const limited = finding.kind !== 'not-read' || inspected
  return {
    panel: panel.id,
    state: statistics && inspected ? 'measured' : inspected ? 'inspected' : 'not-inspected',
    finding: finding.kind,
    code: 'why' in finding ? finding.why : finding.kind,
    meanUm: statistics ? round(statistics.meanUm) : null,
    uUm: statistics ? round(statistics.uncertaintyUm) : null,
    budgetUm: limited ? round(budget.budgetUm) : null,
    budgetBy: budget.decidedBy.rule,
    ...(edge ? { edgeBudgetUm: round(edge.budgetUm) } : {}),
    grade: inspected ? letterOf(condition.index) : null,
    index: inspected ? wholeIndex(condition.index) : null,
  }
}
