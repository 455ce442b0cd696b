import { isForeseen, isTooFar, type PooledLife } from '@/core/aftercare'
import type { Region } from '@/core/region'
import { number } from '../formats'

/** How long coatings really hold, in the staff’s English. */

const wholeMonths = (sheetMonths: number, share: number) => Math.max(1, Math.round(sheetMonths * share))

/** “about 15 months (13 to 17)”; no number where it lies far beyond all that was looked at. */
export function heldText(region: Region, sheetMonths: number, pooled: PooledLife): string {
  const { share } = pooled
  if (isTooFar(wholeMonths(sheetMonths, share.mid), pooled)) return 'too early to say how long'
  const months = (part: number) => number(region, wholeMonths(sheetMonths, part))
  return `about ${months(share.mid)} months (${months(share.low)} to ${months(share.high)})`
}

/** What that rests on where no car has come so far: “if it goes on wearing as it does; the oldest seen was 23 months old” */
export function foreseenText(region: Region, sheetMonths: number, pooled: PooledLife): string | undefined {
  const months = wholeMonths(sheetMonths, pooled.share.mid)
  if (!isForeseen(months, pooled)) return undefined
  const oldest = Math.round(pooled.oldestMonths)
  const seen = `the oldest seen was ${number(region, oldest)} ${oldest === 1 ? 'month' : 'months'} old`
  return isTooFar(months, pooled)
    ? `${seen}, and wears ${againstSheet(pooled)} its sheet says`
    : `if it goes on wearing as it does; ${seen}`
}

const againstSheet = ({ share }: PooledLife) =>
  share.low > 1 ? 'more slowly than' : share.high < 1 ? 'faster than' : 'about as'

/** “Has held here about 15 months (13 to 17)”, or what it should come to where no car has come so far. */
export function hasHeld(region: Region, sheetMonths: number, pooled: PooledLife): string {
  const foreseen = foreseenText(region, sheetMonths, pooled)
  const held = heldText(region, sheetMonths, pooled)
  if (isTooFar(wholeMonths(sheetMonths, pooled.share.mid), pooled)) return `Here ${held}: ${foreseen}`
  return foreseen ? `Should hold here ${held}, ${foreseen}` : `Has held here ${held}`
}

export const carsText = (region: Region, { cars, looks }: PooledLife): string =>
  `${number(region, cars)} ${cars === 1 ? 'car' : 'cars'}, ${number(region, looks)} ${looks === 1 ? 'panel' : 'panels'} inspected`
