import { careRulesFor } from '@/core/aftercare'
import { isCoating } from '@/core/coating'
import type { Handover } from '@/core/handover'
import { blindToIt, reworksIn } from '@/core/handover'
import type { OperationId } from '@/core/ids'
import { productName, progressAt } from '@/core/job'
import { machineRoles, type PlannedOperation, partOfLayer } from '@/core/offer'
import type { FloorJob } from '@/core/planning'
import { type Language, type Region, readIn } from '@/core/region'
import { everyone, type Shop } from '@/core/shop'
import { letterOf, wholeIndex } from '@/core/survey'
import { dayIn, type Instant } from '@/core/time'
import { careWords } from '@/text/care'
import { expectationText, partlyText } from '@/text/expectation'
import {
  figure,
  list,
  measured,
  money,
  number,
  paperDay,
  paperMoment,
  percent,
  unitSign,
} from '@/text/formats'
import { type HandoverWords, handoverWords } from '@/text/handover'
import { placeName, placeTitle } from '@/text/panels'
import { besideLines } from '@/text/quote-lines'
import { quoteWords, taxName } from '@/text/quote-words'
import { RECIPES_HEADING, recipeLines } from '@/text/recipes'
import { methodName, surfaceWord } from '@/text/work'
import { milestoneWhen } from '../care/milestone-list'
import { type Letterhead, letterheadOf } from '../letterhead'

/** The handover sheet in the customer’s words, for the screen and for the PDF alike: a customer signs what both say. */

type Cells = { name: string; process: string; film: string; taken: string; gloss: string; seen: string }

export type HandoverPaper = {
  language: Language
  shop: Letterhead
  headings: HandoverWords['headings'] & { do: string; avoid: string }
  columns: Cells
  title: string
  plate: string
  vehicle: string
  forCustomer: string
  result: string[]
  stays: string[]
  panels: Cells[]
  /** Extras, and what others did. */
  beside: string[]
  layers: string[]
  /** How it was polished, step by step; none where it was not. */
  technical: { heading: string; lines: string[] } | undefined
  spots: string[]
  milestones: { title: string; when: string; advice: string; hold: boolean }[]
  rules: { yes: string[]; no: string[] }
  inspection: string
  money: string[]
  cautions: string[]
  received: string
  forShop: string
}

function rulesFor(region: Region, entry: FloorJob, { care }: Handover, shop: Shop): HandoverPaper['rules'] {
  const products = care.layers.flatMap(
    ({ productId }) => shop.catalogue.find(({ id }) => id === productId) ?? [],
  )
  const words = careWords(region)
  const rules = careRulesFor({
    ...entry.job.vehicle,
    coated: products.some(isCoating),
    seaAir: shop.setup.climate.seaAir,
    guaranteed: products.some(({ guaranteeMonths }) => guaranteeMonths > 0),
  })
  const texts = (kind: 'do' | 'do-not') =>
    rules.filter((rule) => rule.kind === kind).map((rule) => words.rule[rule.id](rule).text)
  return {
    yes: texts('do'),
    no: [...(care.milestones.length > 0 ? [words.firstDays] : []), ...texts('do-not')],
  }
}

/** A verdict as a customer reads it. A fault is the shop’s to put right: it is on no sheet a customer gets. */
function seenText(region: Region, verdict: Handover['verdicts'][number] | undefined): string {
  const words = handoverWords(region)
  if (verdict?.verdict !== 'good') return ''
  return [
    words.passed,
    ...(verdict.clearedPercent === undefined ? [] : [words.cleared(percent(region, verdict.clearedPercent))]),
  ].join(', ')
}

function panelLines(
  region: Region,
  { agreement, changes, verdicts, card }: Handover,
  isWorked: boolean,
): Cells[] {
  const words = handoverWords(region)
  const told = new Map(agreement.summary.panels.map((panel) => [panel.id, panel.process]))
  const changed = new Map(card.processes.map(({ panel, process }) => [panel, process]))
  return changes.map(({ panel, film, gloss, ledger }) => {
    const process = changed.get(panel.id) ?? told.get(panel.id) ?? 'leave'
    const depth = (um: number, decimals = 0) => figure(region, 'depth', um, decimals)
    const name =
      process === 'leave' ? words.noPolishing : methodName(region, process, agreement.summary.works)
    return {
      name: placeTitle(region, panel.id),
      process: process === 'leave' || isWorked ? name : words.planned(name),
      film: film ? words.change(depth(film.before), depth(film.after)) : words.notMeasured,
      // Paint does not grow: what reads thicker by more than its error was read elsewhere, and by less is no loss at all.
      taken:
        !isWorked || !ledger || ledger.removedUm < -2 * ledger.uncertaintyUm
          ? words.notMeasured
          : ledger.removedUm < 0
            ? words.noLoss
            : `${depth(ledger.removedUm, 1)} ± ${depth(ledger.uncertaintyUm, 1)}`,
      gloss: gloss ? words.change(gloss.before.toFixed(0), gloss.after.toFixed(0)) : '',
      seen: seenText(
        region,
        verdicts.find(({ item }) => item === panel.id),
      ),
    }
  })
}

function resultLines(region: Region, { agreement: { summary }, reached }: Handover): string[] {
  const words = handoverWords(region)
  const standing = (index: number) => `${letterOf(index)} (${wholeIndex(index)})`
  const partly = partlyText(region, summary.inspected)
  // A visit or a repair grades nothing anew.
  if (summary.indexAfter <= summary.indexBefore) return []
  return [
    words.expected({
      before: `${standing(summary.indexBefore)}${partly ? `, ${partly}` : ''}`,
      after: standing(summary.indexAfter),
      percent: percent(region, Math.round(summary.expectedClearing * 100)),
    }),
    ...(reached === undefined ? [] : [words.reached(percent(region, Math.round(reached * 100)))]),
  ]
}

function staysLines(region: Region, { agreement, card }: Handover): string[] {
  const short = new Set(Object.values(card.work).flatMap((work) => work.short.map(({ panel }) => panel)))
  const names = [...short].map((id) => placeName(region, id))
  return [
    ...agreement.summary.expectation
      .filter(({ kind }) => kind === 'stays')
      .map((each) => expectationText(region, each)),
    ...(names.length > 0 ? [handoverWords(region).short(list(region, names))] : []),
  ]
}

function moneyLines(region: Region, { balance, payments, agreement: { summary } }: Handover): string[] {
  const words = handoverWords(region)
  const day = (at: Instant) => paperDay(region, dayIn(region.timezone, at))
  return [
    words.agreed(
      money(region, balance.totalCents),
      summary.taxCents > 0 ? taxName(region, summary.taxName) : undefined,
    ),
    ...payments
      .filter(({ takenBackAt }) => !takenBackAt)
      .map(({ cents, way, at, note }) =>
        [words.paid(money(region, cents), words.way[way], day(at)), note].filter(Boolean).join(', '),
      ),
    balance.openCents > 0
      ? words.due(money(region, balance.openCents))
      : balance.openCents < 0
        ? words.overpaid(money(region, -balance.openCents))
        : words.paidInFull,
  ]
}

/** That wheels were off, and how their nuts were tightened as far as it was written down. */
function wheelLines(
  region: Region,
  { card }: Handover,
  operations: readonly Pick<PlannedOperation, 'extra'>[],
): string[] {
  const words = handoverWords(region)
  const torque = Object.values(card.work).find((work) => work.torque)?.torque
  if (torque) return [words.tightened(`${number(region, torque.nm)} Nm`, torque.wrench)]
  return operations.some(({ extra }) => extra === 'wheels-off') ? [words.wheels] : []
}

export function handoverPaper(entry: FloorJob, handover: Handover, shop: Shop, now: Instant): HandoverPaper {
  const { job, live } = entry
  const { setup } = shop
  const region = readIn(setup.region, job.customer.language)
  const words = handoverWords(region)
  const care = careWords(region)
  const nameOf = (id: string) => everyone(setup).find((person) => person.id === id)?.name ?? id
  const { verdicts, inspection, card, letGo } = handover
  const inspectors = [...new Set(verdicts.map(({ by }) => nameOf(by)))]
  const operations = live?.plan.operations ?? []
  const partOf = (operation: OperationId) => {
    const applied = operations.find(({ id }) => id === operation)
    const part = partOfLayer(applied)
    const title = applied?.title
    const again = typeof title === 'object' && title.code === 'again' ? title.place : undefined
    return [...(part ? [words.part(part)] : []), ...(again ? [words.again(placeName(region, again))] : [])]
  }
  const onWhat = (operation: OperationId) => {
    const surface = operations.find(({ id }) => id === operation)?.surface
    return surface ? ` (${surfaceWord(region, surface)})` : ''
  }
  const isOver = (operation: PlannedOperation) =>
    live !== undefined && progressAt(live, operation, now).kind === 'done'
  const isFinished = operations.every(isOver)
  const isWorked = operations.every((operation) => machineRoles(operation).length === 0 || isOver(operation))
  const reworks = reworksIn({ operations })
  const blind = live ? blindToIt(live.plan, live.progress) : new Set()
  const isFresh = !verdicts.some(({ by }) => blind.has(by))
  const depthUnit = unitSign(region, 'depth')
  const { vehicle } = job
  const recipe = recipeLines(region, handover.agreement.summary)
  return {
    language: region.language,
    shop: letterheadOf(setup),
    headings: { ...words.headings, do: care.do, avoid: care.avoid },
    columns: {
      ...words.columns,
      film: words.columns.film(depthUnit),
      taken: words.columns.taken(depthUnit),
    },
    title: words.title(
      job.kind === 'work' ? handover.agreement.packageName : words.shortJob[job.kind],
      job.number,
      paperDay(region, dayIn(region.timezone, now)),
    ),
    plate: vehicle.plate,
    vehicle: `${vehicle.make} ${vehicle.model}${vehicle.year ? ` ${vehicle.year}` : ''}, ${vehicle.colour.toLowerCase()}`,
    forCustomer: quoteWords(region).forCustomer(job.customer.name),
    result: [...(isFinished ? [] : [words.notFinished]), ...resultLines(region, handover)],
    stays: staysLines(region, handover),
    panels: panelLines(region, handover, isWorked),
    beside: isFinished ? besideLines(region, handover.agreement.summary) : [],
    layers: handover.care.layers.map((layer, index) =>
      words.layer({
        number: index + 1,
        product: [
          `${productName(shop, layer.productId)}${onWhat(layer.operationId)}`,
          ...partOf(layer.operationId),
        ].join(', '),
        lot: layer.lot,
        moment: paperMoment(region, layer.endedAt),
        by: nameOf(layer.by),
        air: measured(region, 'temperature', layer.climate.airC, 1),
        humidity: percent(region, layer.climate.rhPercent),
        panel: measured(region, 'temperature', layer.climate.panelC, 1),
      }),
    ),
    technical: recipe.length > 0 ? { heading: RECIPES_HEADING[region.language], lines: recipe } : undefined,
    spots: Object.values(card.work).flatMap(({ highSpots }) =>
      highSpots.flatMap(({ panel, gone }) =>
        gone
          ? [words.highSpot[gone.how === 're-wet' ? 're-wet' : 'polished'](placeTitle(region, panel))]
          : [],
      ),
    ),
    milestones: handover.care.milestones.map((milestone) => ({
      ...care.milestone[milestone.key],
      when: milestoneWhen(milestone, region),
      hold: milestone.hold,
    })),
    rules: rulesFor(region, entry, handover, shop),
    inspection: inspection.passed
      ? [
          words.inspected(list(region, inspectors), isFresh),
          ...(reworks > 0 ? [words.reworked(reworks)] : []),
        ].join(' ')
      : job.handedOverAt
        ? words.neverInspected
        : words.notInspected,
    money: moneyLines(region, handover),
    cautions: [
      ...(letGo ? [words.letGo(letGo.name, paperMoment(region, letGo.dryUntil))] : []),
      ...wheelLines(region, handover, operations),
      words.dataSheets,
    ],
    received: words.received(job.customer.name),
    forShop: quoteWords(region).forShop(setup.name),
  }
}
