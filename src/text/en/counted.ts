import type { Region } from '@/core/region'
import { number } from '../formats'

/** `1 customer`, `12,300 customers`. */
export const counted = (region: Region, count: number, one: string, several = `${one}s`) =>
  `${number(region, count)} ${count === 1 ? one : several}`
