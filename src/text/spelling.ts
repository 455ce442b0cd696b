import type { Region } from '@/core/region'
import { spelt } from './en/spelling'

/** English as the shop’s place spells it; any other language as it is. */
export const inItsSpelling = (region: Pick<Region, 'language' | 'locale'>, text: string): string =>
  region.language === 'en' ? spelt(region, text) : text
