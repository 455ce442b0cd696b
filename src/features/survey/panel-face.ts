import type { Region } from '@/core/region'
import { type Difference, LIFETIME_UM, type PanelJudgement } from '@/core/survey'
import type { Panel } from '@/core/vehicle'
import { staffPanel } from '@/text/en/staff-panels'
import { FINDING_NAME } from '@/text/en/survey'
import { figure, measured } from '@/text/formats'
import type { PanelFace } from '@/ui/body-plan'
import { filmColour, filmInk } from '@/ui/film-scale'
import type { Shown } from './round-switch'
import { changeOf, meanOf, type Round } from './rounds'

/** How a panel looks on the plan: coloured and numbered by film, or plain with the reason. */
export function panelFace(
  region: Region,
  { panel, statistics, finding, budget, condition }: PanelJudgement,
): PanelFace {
  const said = `${FINDING_NAME[finding.kind]}, budget ${measured(region, 'depth', budget.budgetUm, 1)}, ${condition.letter}`
  if (!statistics)
    return {
      fill: 'var(--c-sheet)',
      ink: 'var(--c-ink-soft)',
      text: '',
      label: `${staffPanel(region, panel.id)}: ${said}`,
      ...(finding.kind === 'unreadable' ? { mark: 'unreadable' as const } : {}),
    }
  return {
    fill: filmColour(statistics.medianUm),
    ink: filmInk(statistics.medianUm),
    text: figure(region, 'depth', statistics.medianUm),
    label: `${staffPanel(region, panel.id)}: ${measured(region, 'depth', statistics.medianUm)}, ${said}`,
    ...(finding.kind === 'thin' ? { mark: 'thin' as const } : {}),
    ...(['repainted', 'thinner', 'all-high', 'filler-likely'].includes(finding.kind)
      ? { mark: 'repainted' as const }
      : {}),
  }
}

/** A panel in a round that is put over: its mean, coloured by film. */
export function roundFace(region: Region, panel: Panel, um: number | undefined): PanelFace {
  if (um === undefined)
    return {
      fill: 'var(--c-sheet)',
      ink: 'var(--c-ink-soft)',
      text: '',
      label: `${staffPanel(region, panel.id)}: not read`,
    }
  return {
    fill: filmColour(um),
    ink: filmInk(um),
    text: figure(region, 'depth', um),
    label: `${staffPanel(region, panel.id)}: ${measured(region, 'depth', um)}`,
  }
}

/** A difference smaller than twice its uncertainty is the hand that held the gauge, not paint. */
const DISTINCT = 2

/** What a panel has lost between two rounds, µm; the more, the darker, and in brackets where it is within the error. */
export function differenceFace(region: Region, panel: Panel, lost: Difference | undefined): PanelFace {
  if (!lost)
    return {
      fill: 'var(--c-sheet)',
      ink: 'var(--c-ink-soft)',
      text: '',
      label: `${staffPanel(region, panel.id)}: not read in both rounds`,
    }
  const { removedUm, uncertaintyUm } = lost
  const distinct = Math.abs(removedUm) >= DISTINCT * uncertaintyUm
  const share = distinct ? Math.min(1, Math.max(0, removedUm / LIFETIME_UM)) : 0
  const text = `${removedUm >= 0 ? '−' : '+'}${figure(region, 'depth', Math.abs(removedUm), 1)}`
  return {
    fill: `color-mix(in oklab, var(--c-bracken) ${Math.round(share * 80)}%, var(--c-sheet))`,
    ink: distinct ? 'var(--c-ink)' : 'var(--c-ink-soft)',
    text: distinct ? text : `(${text})`,
    label: `${staffPanel(region, panel.id)}: ${text} ± ${measured(region, 'depth', uncertaintyUm, 1)}${distinct ? '' : ', within the error'}`,
  }
}

/** How each panel looks in what is shown: the judged round, another one, or what has gone from the first to the last. */
export function facesOf(
  region: Region,
  judged: readonly PanelJudgement[],
  shown: Shown,
  rounds: readonly Round[],
  marked: readonly string[],
  round: Round | undefined,
): Record<string, PanelFace> {
  const faceOf = (judgement: PanelJudgement): PanelFace => {
    const { panel } = judgement
    if (shown.kind === 'round' && shown.id === 'before') return panelFace(region, judgement)
    if (shown.kind === 'round') return roundFace(region, panel, round && meanOf(round.measured, panel.id))
    return differenceFace(region, panel, changeOf(panel.id, rounds, marked))
  }
  return Object.fromEntries(judged.map((judgement) => [judgement.panel.id, faceOf(judgement)]))
}
