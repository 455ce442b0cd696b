import type { Region } from '@/core/region'
import type { Covering, Finish, PanelFacts, Substrate } from '@/core/vehicle'
import { shortDay } from '../formats'
import { PAINT_SYSTEM_GUIDE } from './vehicle'

/** How staff speak of a panel that is not like the rest of its car. */

export const COVERING_NAME: Record<Covering, string> = {
  ...(Object.fromEntries(Object.entries(PAINT_SYSTEM_GUIDE).map(([id, { name }]) => [id, name])) as Record<
    keyof typeof PAINT_SYSTEM_GUIDE,
    string
  >),
  'gloss-plastic': 'Gloss-black plastic',
}

export const FINISH_NAME: Record<Finish, string> = { solid: 'Solid', metallic: 'Metallic' }

export const SUBSTRATE_NAME: Record<Substrate, string> = {
  steel: 'Steel',
  aluminium: 'Aluminium',
  plastic: 'Plastic',
  composite: 'Composite',
}

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)

/** Everything that is told of one panel, in one line; empty where it is as the car. */
export function factsText(region: Region, facts: PanelFacts | undefined): string {
  if (!facts) return ''
  return [
    ...(facts.absent ? ['not there'] : []),
    ...(facts.paint ? [lower(COVERING_NAME[facts.paint])] : []),
    ...(facts.finish ? [lower(FINISH_NAME[facts.finish])] : []),
    ...(facts.colour ? [facts.colour] : []),
    ...(facts.substrate ? [`of ${lower(SUBSTRATE_NAME[facts.substrate])}`] : []),
    ...(facts.sprayedOn ? [`sprayed ${shortDay(region, facts.sprayedOn)}`] : []),
    ...(facts.overruled ? [`told against the gauge: ${facts.overruled.why}`] : []),
  ].join(', ')
}
