import { z } from 'zod'
import { ask } from '../asks'
import { LANGUAGES, type Language } from '../region'

const MOST_SIGNS = 240
const sentence = z.string().trim().max(MOST_SIGNS).default('')

/** What a package is for, in a sentence, in each language the shop has put it into; empty in the others. */
export const pitchSchema = z
  .strictObject({ en: sentence, fr: sentence, de: sentence } satisfies Record<Language, z.ZodType>)
  .refine((pitch) => LANGUAGES.some((language) => pitch[language] !== ''), ask('package-pitch'))
export type Pitch = z.infer<typeof pitchSchema>

export const NO_PITCH: Pitch = { en: '', fr: '', de: '' }

/** As the shop reads it: in the language asked for, or in the first it has been written in. */
export const pitchFor = (pitch: Pitch, language: Language): string =>
  [language, ...LANGUAGES].map((each) => pitch[each]).find((text) => text !== '') ?? ''
