import type { Region } from '@/core/region'
import { panelWordIn } from '../panel-word'
import { title } from '../title'
import { panelsInEnglish } from './panels'
import { termsOf } from './terms'

/** What the staff call a panel or a place: hood and trunk in America, bonnet and boot elsewhere. At the beginning of a line. */
export const staffPanel = (region: Region, id: string): string => title(region, staffPanelName(region, id))

/** The same in the middle of a sentence. */
export const staffPanelName = (region: Region, id: string): string =>
  panelWordIn(panelsInEnglish(termsOf(region)), id)
