import type { Region } from '@/core/region'

/** What a screen of the staff is written in, as BCP 47: the English of the shop’s place, where it has one of its own. */
export const staffLanguage = ({ locale }: Pick<Region, 'locale'>): string =>
  locale.startsWith('en') ? locale : 'en'
