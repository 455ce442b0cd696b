import { chanceAsSaid } from '@/core/chance'
import type { Language, Region } from '@/core/region'

/** Chances as people say them: so many times in ten or twenty. */

const IN: Record<Language, (times: number, of: number) => string> = {
  en: (times, of) => `${times} in ${of}`,
  de: (times, of) => `${times} von ${of}`,
  fr: (times, of) => `${times} sur ${of}`,
}

const UNDER: Record<Language, string> = { en: 'under', de: 'unter', fr: 'moins de' }

/** A chance, 0–1, as `8 in 10`: never more than it is. */
export function chanceText({ language }: Pick<Region, 'language'>, chance: number): string {
  const [times, of] = chanceAsSaid(chance)
  return times === 0 ? `${UNDER[language]} ${IN[language](1, of)}` : IN[language](times, of)
}
