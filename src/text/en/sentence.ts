import type { Region } from '@/core/region'
import type { OnPanels } from '@/core/survey'
import { list } from '../formats'
import { placeName } from '../panels'

/** The small joints of an English sentence. */

export const sentence = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

export const many = (plural: boolean, several: string, one: string) => (plural ? several : one)

/** “the bonnet, roof and tailgate” */
export function thePanels(region: Region, { panels, everywhere }: OnPanels): string {
  if (everywhere) return 'all panels'
  return `the ${list(
    region,
    panels.map((id) => placeName(region, id)),
  )}`
}
