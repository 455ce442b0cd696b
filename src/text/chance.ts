import type { Language, Region } from '@/core/region'

/** Chances as people say them: so many times in ten or twenty. */

/** Rounding forgives a chance that is this little below what it is called. */
const NEARLY = 0.005

/** The greatest of what is said aloud that a chance, 0–1, reaches. */
function saidAs(chance: number): [times: number, of: number] {
  const reached = chance + NEARLY
  if (reached >= 0.99) return [99, 100]
  if (reached >= 0.95) return [19, 20]
  const tenths = Math.floor(reached * 10)
  return tenths > 0 ? [tenths, 10] : [Math.max(1, Math.floor(reached * 100)), 100]
}

const IN: Record<Language, (times: number, of: number) => string> = {
  en: (times, of) => `${times} in ${of}`,
  de: (times, of) => `${times} von ${of}`,
  fr: (times, of) => `${times} sur ${of}`,
}

/** A chance, 0–1, as `8 in 10`: never more than it is. */
export const chanceText = ({ language }: Pick<Region, 'language'>, chance: number): string =>
  IN[language](...saidAs(chance))
