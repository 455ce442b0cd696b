import type { Language, Region } from '@/core/region'

/** What the fields of days say to whoever cannot see them. */
export type FieldWords = Record<'openCalendar' | 'nextMonth' | 'previousMonth' | 'today' | 'chosen', string>

const IN: Record<Language, FieldWords> = {
  en: {
    openCalendar: 'Open the calendar',
    nextMonth: 'Next month',
    previousMonth: 'Previous month',
    today: 'today',
    chosen: 'chosen',
  },
  fr: {
    openCalendar: 'Ouvrir le calendrier',
    nextMonth: 'Mois suivant',
    previousMonth: 'Mois précédent',
    today: 'aujourd’hui',
    chosen: 'choisi',
  },
  de: {
    openCalendar: 'Kalender öffnen',
    nextMonth: 'Nächster Monat',
    previousMonth: 'Voriger Monat',
    today: 'heute',
    chosen: 'gewählt',
  },
}

export const fieldWords = ({ language }: Pick<Region, 'language'>): FieldWords => IN[language]

const PAGE: Record<Language, (page: number, of: number) => string> = {
  en: (page, of) => `Page ${page} of ${of}`,
  fr: (page, of) => `Page ${page} sur ${of}`,
  de: (page, of) => `Seite ${page} von ${of}`,
}

/** At the foot of a paper. */
export const pageText = ({ language }: Pick<Region, 'language'>, page: number, of: number) =>
  PAGE[language](page, of)
