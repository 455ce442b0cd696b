import type { Rgb } from './render'

/** What the word for a colour looks like in the shade, sRGB: enough to draw by, no paint code (mem). */

const TINTS: readonly [words: RegExp, tint: Rgb][] = [
  [/black|noir|schwarz|ebony|pitch|ink|soot/, [12, 13, 14]],
  [/white|blanc|weiß|weiss|snow|milk|gull/, [206, 206, 200]],
  [/cream|ivory|crème|beige|sand|buff|oat/, [176, 162, 130]],
  [/silver|argent|silber|aluminium/, [120, 124, 126]],
  [/grey|gray|gris|grau|slate|graphite|anthra|pewter|granite|lead/, [58, 62, 66]],
  [/burgundy|bordeaux|wine|maroon|plum|claret/, [52, 10, 18]],
  [/red|rouge|rot\b|crimson|scarlet/, [112, 14, 16]],
  [/orange|copper|kupfer|rust|amber/, [140, 58, 16]],
  [/yellow|jaune|gelb|gold|mustard|gorse/, [168, 130, 24]],
  [/green|vert|grün|olive|fern|moss|bottle/, [14, 42, 28]],
  [/blue|bleu|blau|navy|marine|petrol|teal|turquoise/, [14, 30, 66]],
  [/violet|purple|lilac|aubergine/, [42, 20, 58]],
  [/brown|brun|braun|marron|bronze|peat/, [46, 30, 20]],
]
/** Where no word is known: a dark grey, on which everything shows. */
const UNKNOWN: Rgb = [40, 43, 46]

const shaded = (tint: Rgb, by: number): Rgb => {
  const [red, green, blue] = tint.map((channel) => Math.round(Math.min(235, channel * by)))
  return [red!, green!, blue!]
}

/** sRGB to draw a colour by, from the word somebody typed for it. */
export function tintOf(colour: string): Rgb {
  const word = colour.toLowerCase()
  const tint = TINTS.find(([words]) => words.test(word))?.[1] ?? UNKNOWN
  if (/dark|deep|midnight|foncé|dunkel/.test(word)) return shaded(tint, 0.6)
  return /light|pale|clair|hell/.test(word) ? shaded(tint, 1.6) : tint
}
