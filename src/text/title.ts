import type { Region } from '@/core/region'

/** A word of the middle of a sentence at the beginning of a line. */
export const title = ({ language }: Pick<Region, 'language'>, text: string) =>
  text.charAt(0).toLocaleUpperCase(language) + text.slice(1)
