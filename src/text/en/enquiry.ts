import type { ToldState } from '@/core/planning'

/** How a caller describes the paint. */
export const TOLD_STATE_WORDS: Record<ToldState, { name: string; means: string }> = {
  'nearly-new': { name: 'Nearly new', means: 'Hand-washed, a few fine marks in the sun.' },
  usual: { name: 'As most come', means: 'Swirls all over in the sun, a scratch here and there.' },
  tired: { name: 'Dull and tired', means: 'Years of brush washes; the gloss is gone.' },
}
