import { FINDING_NAME, type PanelJudgement } from '@/core/survey'
import type { PanelFace } from '@/ui/body-plan'
import { filmColour, filmInk } from '@/ui/film-scale'

/** How a panel looks on the plan: coloured and numbered by film, or plain with the reason. */
export function panelFace({ panel, statistics, finding, budget, condition }: PanelJudgement): PanelFace {
  const said = `${FINDING_NAME[finding.kind]}, budget ${budget.budgetUm.toFixed(1)} µm, ${condition.letter}`
  if (!statistics)
    return {
      fill: 'var(--c-sheet)',
      ink: 'var(--c-ink-soft)',
      text: '',
      label: `${panel.name}: ${said}`,
      ...(finding.kind === 'unreadable' ? { mark: 'unreadable' as const } : {}),
    }
  return {
    fill: filmColour(statistics.medianUm),
    ink: filmInk(statistics.medianUm),
    text: statistics.medianUm.toFixed(0),
    label: `${panel.name}: ${statistics.medianUm.toFixed(0)} µm, ${said}`,
    ...(finding.kind === 'thin' ? { mark: 'thin' as const } : {}),
    ...(finding.kind === 'repainted' || finding.kind === 'filler-likely'
      ? { mark: 'repainted' as const }
      : {}),
  }
}
