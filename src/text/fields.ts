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
