import type { Region } from '@/core/region'
import type { OnPanels } from '@/core/survey'
import { list } from '../formats'
import { placeName } from '../panels'

/** “the bonnet, roof and tailgate” */
export function thePanels(region: Region, { panels, everywhere }: OnPanels): string {
  if (everywhere) return 'all panels'
  return `the ${list(
    region,
    panels.map((id) => placeName(region, id)),
  )}`
}
