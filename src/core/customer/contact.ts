import type { Language } from '../region'
/** In which language and on which way a customer is written to. */

export const LANGUAGE_NAME: Record<Language, string> = { en: 'English', fr: 'Français', de: 'Deutsch' }

export const CHANNELS = ['email', 'text'] as const
export type Channel = (typeof CHANNELS)[number]
