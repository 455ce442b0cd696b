import type { Worked } from '@/core/correction'
import { agreedWork, type Summary } from '@/core/offer'
import type { Language, Region } from '@/core/region'
import { list } from './formats'
import { placeName } from './panels'
import { title } from './title'
import { methodName, workWords } from './work'

/** How panels are worked, step by step, as it was agreed: for the technical lines of a quote and of a handover sheet. */

const PASSES: Record<Language, (passes: number) => string> = {
  en: (passes) => (passes === 1 ? '1 pass' : `${passes} passes`),
  fr: (passes) => (passes === 1 ? '1 passe' : `${passes} passes`),
  de: (passes) => (passes === 1 ? '1 Durchgang' : `${passes} Durchgänge`),
}
export const RECIPES_HEADING: Record<Language, string> = {
  en: 'How it is polished',
  fr: 'Comment la peinture est polie',
  de: 'So wird poliert',
}
const EVERY: Record<Language, string> = { en: 'all panels', fr: 'tous les éléments', de: 'alle Teile' }

const stepText = (region: Region, { pad, liquid, machine, passes }: Worked['steps'][number]) => {
  const words = workWords(region)
  return [words.pad[pad], words.liquid[liquid], words.machine[machine], PASSES[region.language](passes)].join(
    ', ',
  )
}

/** A line for each way panels are worked, with the panels: nothing where none is. */
export function recipeLines(
  region: Region,
  summary: Pick<Summary, 'processes' | 'panels' | 'works'>,
): string[] {
  const byWork = new Map<string, { work: Worked; panels: string[] }>()
  const all = Object.entries(agreedWork(summary))
  for (const [panel, work] of all) {
    if (work.steps.length === 0) continue
    const key = JSON.stringify(work)
    const known = byWork.get(key)
    if (known) known.panels.push(panel)
    else byWork.set(key, { work, panels: [panel] })
  }
  return [...byWork.values()].map(({ work, panels }) => {
    const where =
      panels.length === all.length
        ? EVERY[region.language]
        : list(
            region,
            panels.map((id) => placeName(region, id)),
          )
    const name = title(region, methodName(region, work.key, [work]))
    return `${name} (${where}): ${work.steps.map((step) => stepText(region, step)).join('; ')}.`
  })
}
