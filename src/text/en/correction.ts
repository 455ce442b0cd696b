import type { Care, Ceiling, Material, Method, MethodKey, PanelGroup, Step } from '@/core/correction'
import type { Region } from '@/core/region'
import { unreachable } from '@/core/result'
import type { Start, Verdict, Why } from '@/core/test-spot'
import { percent } from '../formats'
import { workInEnglish } from './work'

/** How the shop speaks of polishing: processes, what forbids them, groups of panels, test spots. Read by staff only. */

const SEEDED_NAME: Readonly<Record<MethodKey, string>> = {
  leave: 'No polishing',
  'light-polish': 'Light polish',
  'all-in-one': 'All-in-one',
  'small-two-step': 'Two mild steps, small machine',
  'one-step-polish': 'One-step polish',
  'one-step-cut': 'One-step cut and finish',
  'cut-all-in-one': 'Cut, then all-in-one',
  'two-step': 'Two-step',
  'two-step-hand': 'Two-step, last pass by hand',
  'two-step-wool': 'Wool, foam, finish',
  'disc-two-step': '3000-grit disc, then two-step',
}

/** A method by what is known of it: the shop’s own name, else the one it ships under. */
export type Named = Pick<Method, 'key' | 'name'>

export const methodTitle = ({ key, name }: Named): string => name || (SEEDED_NAME[key] ?? key)

/** The same of a method that is only known by its key, among those of the shop. */
export const titleOf = (methods: readonly Named[], key: MethodKey): string =>
  methodTitle(methods.find((method) => method.key === key) ?? { key, name: '' })

/** In the middle of a sentence. */
export const methodWord = (method: Named): string => {
  const title = methodTitle(method)
  return method.name ? title : title.charAt(0).toLowerCase() + title.slice(1)
}
export const wordOf = (methods: readonly Named[], key: MethodKey): string =>
  methodWord(methods.find((method) => method.key === key) ?? { key, name: '' })

/** One step as it is set up: “cutting foam, medium polish, long-throw dual action”. */
export const toolsText = ({ machine, pad, liquid }: Pick<Step, 'machine' | 'pad' | 'liquid'>): string =>
  [workInEnglish.pad[pad], workInEnglish.liquid[liquid], workInEnglish.machine[machine]].join(', ')

export const MATERIAL_NAME: Record<Material, string> = {
  clear: 'Clear coat over base',
  'single-solid': 'Solid single stage',
  'single-metallic': 'Metallic single stage',
  gelcoat: 'Gelcoat',
  'painted-plastic': 'Painted plastic',
  'gloss-plastic': 'Gloss-black plastic',
}

export const GROUP: Record<PanelGroup, { name: string; means: string }> = {
  'metal-original': { name: 'Factory paint on metal', means: 'One thin factory coat.' },
  'metal-repainted': { name: 'Resprayed metal', means: 'A body shop’s paint may be softer or harder.' },
  plastic: {
    name: 'Painted plastic',
    means: 'Often softer; heats first and hazes with what suits the metal.',
  },
  gelcoat: { name: 'Gelcoat', means: 'Thick and hard; dull rather than scratched.' },
  'gloss-plastic': { name: 'Gloss-black plastic', means: 'No paint on it at all; marks at a touch.' },
  other: { name: 'Composite or under film', means: 'Cannot be measured; nothing is known of its depth.' },
}

export const CARE_LEVEL: Record<Care, { name: string; means: string }> = {
  usual: { name: 'Standard care', means: 'Each section checked once under the lamp.' },
  highest: {
    name: 'Highest care',
    means: 'Small sections, a slow arm throughout, every section wiped and checked twice.',
  },
}

export const SPOT_VERDICT: Record<Verdict, { name: string; means: string }> = {
  enough: { name: 'Good enough', means: 'This is how the panels of this group are done.' },
  more: { name: 'Not enough', means: 'The next stronger step is tried.' },
  'too-much': { name: 'Did harm', means: 'Stripes, haze that stays, or too much heat. One step back.' },
}

/** How another car’s paint is like this one. */
export const KIN: Record<Start['kinship'], string> = {
  'same-paint': 'with this make and paint code',
  'same-colour': 'of this make and paint, within five years',
  'same-maker': 'of this make, within five years',
  'same-time': 'with this kind of paint, within ten years',
}

/** Why the curve ends where it ends. */
export const CEILING_WORDS: Record<Ceiling, string> = {
  paint: 'more would cost paint it needs',
  spot: 'the test spot showed that more is not needed or does harm',
  rule: 'the rules for this paint allow no more',
  'nothing-more': 'nothing stronger would show',
}

/** Why this is tried next at a test spot, or nothing more is. */
export function spotWhy(why: Why, methods: readonly Named[] = []): string {
  const name = (key: MethodKey) => titleOf(methods, key)
  switch (why.code) {
    case 'nothing-allowed':
      return 'Nothing may be polished here: the rules forbid every step.'
    case 'ran-hot':
      return 'The panel ran hot, so this says nothing yet. Let it cool; then a smaller section, a lower speed, a fresh pad.'
    case 'unknown-paint':
      return 'Nobody knows this paint yet: begin with the mildest pair there is.'
    case 'remembered':
      return `Start with the mildest pair. ${name(why.process)} was enough on ${why.cars === 1 ? 'one car' : `${why.cars} cars`} ${KIN[why.kinship]}.`
    case 'left-too-much':
      return `${name(why.last)} left too many marks. Try the next stronger step.`
    case 'nothing-stronger':
      return `${name(why.last)} left too many marks, and nothing stronger is safe here: these panels are improved, not corrected.`
    case 'left-haze':
      return `${name(why.last)} clears it but leaves haze. A finer step has to follow.`
    case 'milder-failed':
      return 'It was good at the spot, and milder was not.'
    case 'milder-untried':
      return 'It was good at the spot. Nothing milder was tried; where there is time, one step down may do as well.'
    case 'did-harm':
      return `${name(why.last)} did harm. One step back.`
    case 'harm-above':
      return `${name(why.last)} did harm, so ${wordOf(methods, why.best)} is as far as it goes. What is left remains, and the quote says so.`
    case 'all-harmed':
      return 'Even the mildest did harm. These panels are cleaned and protected, not polished.'
    default:
      return unreachable(why)
  }
}

/** Nearer to medium than this nobody would tell the difference. */
const AVERAGE_WITHIN_PERCENT = 5

/** How hard a paint is: `factor` is what it loses for each µm that paint of medium hardness would. */
export function hardnessText(region: Region, factor: number): string {
  const change = Math.round(100 * (factor - 1))
  if (Math.abs(change) < AVERAGE_WITHIN_PERCENT) return 'of average hardness'
  return change < 0
    ? `harder than average: polishing removes about ${percent(region, -change)} less paint`
    : `softer than average: polishing removes about ${percent(region, change)} more paint`
}
