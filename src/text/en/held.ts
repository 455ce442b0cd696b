import type { PooledLife } from '@/core/aftercare'
import type { Region } from '@/core/region'
import { number } from '../formats'

/** How long coatings really hold, in the staff's English. */

const months = (region: Region, sheetMonths: number, share: number) =>
  number(region, Math.max(1, Math.round(sheetMonths * share)))

/** “about 15 months (13 to 17)” */
export const heldText = (
  region: Region,
  sheetMonths: number,
  { share: { low, mid, high } }: PooledLife,
): string =>
  `about ${months(region, sheetMonths, mid)} months (${months(region, sheetMonths, low)} to ${months(region, sheetMonths, high)})`

export const carsText = (region: Region, { cars, looks }: PooledLife): string =>
  `${number(region, cars)} ${cars === 1 ? 'car' : 'cars'}, ${number(region, looks)} ${looks === 1 ? 'panel' : 'panels'} inspected`
