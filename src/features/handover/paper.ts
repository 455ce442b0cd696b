import { careRulesFor } from '@/core/aftercare'
import type { Handover } from '@/core/handover'
import { isRework } from '@/core/handover'
import { productName } from '@/core/job'
import type { Summary } from '@/core/offer'
import type { FloorJob } from '@/core/planning'
import type { Region } from '@/core/region'
import { everyone, type Shop } from '@/core/shop'
import { letterOf } from '@/core/survey'
import { dayIn, type Instant } from '@/core/time'
import { careWords } from '@/text/care'
import { clock, figure, measured, money, paperDay, percent } from '@/text/formats'
import { milestoneWhen } from '../care/milestone-list'

/** The handover sheet in words, for the screen and for the PDF alike: a customer signs what both say. */

export type HandoverPaper = {
  shop: { name: string; address: string; region: Region }
  title: string
  plate: string
  vehicle: string
  customer: string
  result: string[]
  stays: string[]
  panels: { name: string; process: string; film: string; taken: string; gloss: string; seen: string }[]
  layers: string[]
  spots: string[]
  milestones: { title: string; when: string; advice: string; hold: boolean }[]
  rules: { yes: string[]; no: string[] }
  inspection: string
  money: string[]
  cautions: string[]
}

function rulesFor(entry: FloorJob, { care }: Handover, shop: Shop): HandoverPaper['rules'] {
  const products = care.layers.flatMap(
    ({ productId }) => shop.catalogue.find(({ id }) => id === productId) ?? [],
  )
  const words = careWords(shop.setup.region)
  const rules = careRulesFor({
    ...entry.job.vehicle,
    coated: products.some(({ kind }) => kind !== 'sealant' && kind !== 'topper'),
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

function panelLines(
  region: Region,
  { agreement, changes, verdicts, card }: Handover,
): HandoverPaper['panels'] {
  const told = new Map(agreement.summary.panels.map((panel) => [panel.id, panel]))
  const changed = new Map(card.processes.map(({ panel, process }) => [panel, process]))
  return changes.map(({ panel, film, gloss, ledger }) => {
    const seen = verdicts.find(({ item }) => item === panel.id)
    return {
      name: panel.name,
      process: changed.get(panel.id) ?? told.get(panel.id)?.process ?? '',
      film: film
        ? `${figure(region, 'depth', film.before)} → ${figure(region, 'depth', film.after)}`
        : 'not read twice',
      taken: ledger
        ? `${figure(region, 'depth', ledger.removedUm, 1)} ± ${figure(region, 'depth', ledger.uncertaintyUm, 1)}`
        : 'nothing',
      gloss: gloss ? `${gloss.before.toFixed(0)} → ${gloss.after.toFixed(0)}` : '',
      seen: seen
        ? seen.verdict === 'good'
          ? `good${seen.clearedPercent === undefined ? '' : `, ${percent(region, seen.clearedPercent)} gone`}`
          : `fault: ${seen.note}`
        : 'not yet',
    }
  })
}

function resultLines(region: Region, handover: Handover): string[] {
  const { summary } = handover.agreement
  const expected = Math.round(summary.expectedClearing * 100)
  const { reached } = handover
  // A visit or a repair grades nothing anew.
  if (summary.indexAfter <= summary.indexBefore) return []
  return [
    `The paint stood at ${letterOf(summary.indexBefore)} (${summary.indexBefore.toFixed(0)} of 100). The work was reckoned to bring it to ${letterOf(summary.indexAfter)} (${summary.indexAfter.toFixed(0)}), with about ${percent(region, expected)} of the defects gone.`,
    ...(reached === undefined
      ? []
      : [`Under the lamp about ${percent(region, Math.round(reached * 100))} of them are gone.`]),
  ]
}

function stays(summary: Summary, handover: Handover): string[] {
  const told = summary.expectation.filter(({ kind }) => kind === 'stays').map(({ text }) => text)
  const short = Object.values(handover.card.work).flatMap((work) => work.short.map(({ panel }) => panel))
  const names = handover.items.filter(({ id }) => short.includes(id)).map(({ name }) => name)
  return [
    ...(told.length > 0
      ? told
      : ['Stone chips, and whatever a fingernail catches, do not polish out; they stay.']),
    ...(names.length > 0
      ? [`Worked as agreed, and not everything went: ${names.join(', ').toLowerCase()}.`]
      : []),
  ]
}

export function handoverPaper(entry: FloorJob, handover: Handover, shop: Shop, now: Instant): HandoverPaper {
  const { job, live } = entry
  const { setup } = shop
  const { region } = setup
  const nameOf = (id: string) => everyone(setup).find((person) => person.id === id)?.name ?? id
  const { verdicts, inspection, balance, care, card } = handover
  const inspectors = [...new Set(verdicts.map(({ by }) => nameOf(by)))]
  const wheels = live?.plan.operations.some(({ extra }) => extra === 'wheels-off') ?? false
  const torque = Object.values(card.work).some(({ checks }) => checks.torque)
  const reworks = live?.plan.operations.filter(({ id }) => isRework(id)) ?? []
  const { vehicle } = job
  return {
    shop: { name: setup.name, address: setup.address, region },
    title: `${handover.agreement.packageName}, job ${job.number}, ${paperDay(region, dayIn(region.timezone, now))}`,
    plate: vehicle.plate,
    vehicle: `${vehicle.make} ${vehicle.model}${vehicle.year ? ` ${vehicle.year}` : ''}, ${vehicle.colour.toLowerCase()}`,
    customer: job.customer.name,
    result: resultLines(region, handover),
    stays: stays(handover.agreement.summary, handover),
    panels: panelLines(region, handover),
    layers: care.layers.map(
      (layer, index) =>
        `${index + 1}. ${productName(shop, layer.productId)}, lot ${layer.lot}, ${paperDay(region, dayIn(region.timezone, layer.endedAt))} ${clock(region, layer.endedAt)}, by ${nameOf(layer.by)}; air ${measured(region, 'temperature', layer.climate.airC, 1)}, ${percent(region, layer.climate.rhPercent)}, panel ${measured(region, 'temperature', layer.climate.panelC, 1)}`,
    ),
    spots: Object.values(card.work).flatMap(({ highSpots }) =>
      highSpots.map(({ panel, gone }) => {
        const name = handover.items.find(({ id }) => id === panel)?.name ?? panel
        return gone
          ? `${name}: a high spot, ${gone.how === 're-wet' ? 're-wet and levelled' : 'polished off and coated again'}`
          : `${name}: a high spot is still to be seen to`
      }),
    ),
    milestones: care.milestones.map((milestone) => ({
      title: careWords(region).milestone[milestone.key].title,
      when: milestoneWhen(milestone, region),
      advice: careWords(region).milestone[milestone.key].advice,
      hold: milestone.hold,
    })),
    rules: rulesFor(entry, handover, shop),
    inspection: inspection.passed
      ? `Looked at panel by panel by ${inspectors.join(' and ')}, who did not work on this paint: nothing at fault.${reworks.length > 0 ? ` ${reworks.length === 1 ? 'One place was' : `${reworks.length} places were`} done again first.` : ''}`
      : verdicts.length === 0
        ? 'Not yet looked at by a second pair of eyes.'
        : `Looked at by ${inspectors.join(' and ')}: ${inspection.open.length} places still to look at, ${inspection.faults.length} at fault.`,
    money: [
      `Agreed: ${money(region, balance.totalCents)}, tax included.`,
      ...handover.payments
        .filter(({ takenBackAt }) => !takenBackAt)
        .map(({ cents, way, at, note }) =>
          [`Paid ${money(region, cents)} by ${way}, ${paperDay(region, dayIn(region.timezone, at))}`, note]
            .filter(Boolean)
            .join(', '),
        ),
      balance.openCents > 0
        ? `Open: ${money(region, balance.openCents)}.`
        : balance.openCents < 0
          ? `Too much by ${money(region, -balance.openCents)}: we owe it to you.`
          : 'Paid in full.',
    ],
    cautions: [
      ...(wheels
        ? [
            torque
              ? 'The wheels were off. Their nuts were tightened to the maker’s torque; have them checked after the first drive.'
              : 'The wheels were off, and the torque of their nuts has not been ticked off on the card.',
          ]
        : []),
      'Product data sheets and local rules come first where they say otherwise.',
    ],
  }
}
