import { isForeseen, type PooledLife } from '@/core/aftercare'
import type { Region } from '@/core/region'
import { number } from '../formats'

/** How long coatings really hold, in the staff’s English. */

const wholeMonths = (sheetMonths: number, share: number) => Math.max(1, Math.round(sheetMonths * share))

/** “about 15 months (13 to 17)” */
export function heldText(region: Region, sheetMonths: number, { share }: PooledLife): string {
  const months = (part: number) => number(region, wholeMonths(sheetMonths, part))
  return `about ${months(share.mid)} months (${months(share.low)} to ${months(share.high)})`
}

/** What that rests on where no car has come so far: “if it goes on wearing as it does; the oldest seen was 23 months old” */
export function foreseenText(region: Region, sheetMonths: number, pooled: PooledLife): string | undefined {
  if (!isForeseen(wholeMonths(sheetMonths, pooled.share.mid), pooled)) return undefined
  const oldest = Math.round(pooled.oldestMonths)
  return `if it goes on wearing as it does; the oldest seen was ${number(region, oldest)} ${oldest === 1 ? 'month' : 'months'} old`
}

/** “Has held here about 15 months (13 to 17)”, or what it should come to where no car has come so far. */
export function hasHeld(region: Region, sheetMonths: number, pooled: PooledLife): string {
  const foreseen = foreseenText(region, sheetMonths, pooled)
  const held = heldText(region, sheetMonths, pooled)
  return foreseen ? `Should hold here ${held}, ${foreseen}` : `Has held here ${held}`
}

export const carsText = (region: Region, { cars, looks }: PooledLife): string =>
  `${number(region, cars)} ${cars === 1 ? 'car' : 'cars'}, ${number(region, looks)} ${looks === 1 ? 'panel' : 'panels'} inspected`
