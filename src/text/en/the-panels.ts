import type { Region } from '@/core/region'
import type { OnPanels } from '@/core/survey'
import { list } from '../formats'
import { placeName } from '../panels'
import { many, sentence } from './sentence'

/** “the bonnet, roof and tailgate” */
export function thePanels(region: Region, { panels, everywhere }: OnPanels): string {
  if (everywhere) return 'all panels'
  return `the ${list(
    region,
    panels.map((id) => placeName(region, id)),
  )}`
}

/** Parts that are more than one thing though they are marked as one. */
const PLURAL = ['pillars', 'handle-cups', 'trim-and-seals']

/** Whether a sentence goes on with “they”. */
export const isSeveral = ({ panels, everywhere }: Pick<OnPanels, 'panels'> & Partial<OnPanels>): boolean =>
  everywhere === true || panels.length > 1 || PLURAL.includes(panels[0] ?? '')

/** What a customer has to know of an old repair. */
export const fillerUnder = (at: OnPanels, region: Region): string =>
  `${sentence(thePanels(region, at))} probably ${many(isSeveral(at), 'have', 'has')} body filler under ${many(isSeveral(at), 'their', 'its')} paint. Old repairs can show once the finish is clear.`
