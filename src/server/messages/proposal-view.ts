import type { Knex } from 'knex'
import {
  CHANNEL_NAME,
  HELD_TEXT,
  LANGUAGE_NAME,
  type Language,
  type Occasion,
  type Proposed,
  type Template,
} from '@/core/messages'
import type { ProposalView } from '@/core/messages/proposed'
import type { Shop } from '@/core/shop'
import { templateFor } from '@/server/messages/message-store'
import { writeOut } from '@/server/messages/proposed-messages'

/** Stands in a preview for the address that is made when the message goes. */
const PAGE_SHOWN = '(their private page)'

export async function proposalViews(
  db: Knex,
  shop: Shop,
  proposed: readonly Proposed[],
): Promise<ProposalView[]> {
  const templates = new Map<string, Template>()
  const templateOf = async (occasion: Occasion, language: Language) => {
    const key = `${occasion} ${language}`
    const template = templates.get(key) ?? (await templateFor(db, occasion, language))
    templates.set(key, template)
    return template
  }
  const shown: ProposalView[] = []
  for (const each of proposed) {
    const { due, customer, vehicle, route } = each
    const template = await templateOf(due.occasion, customer.language)
    const text = await writeOut(db, shop, due.occasion, each, { ...due.facts, page: PAGE_SHOWN }, template)
    shown.push({
      key: due.key,
      occasion: due.occasion,
      vehicleId: vehicle.id,
      plate: vehicle.plate,
      name: customer.name,
      way:
        route.kind === 'send'
          ? `${CHANNEL_NAME[route.channel]} to ${route.address}, ${LANGUAGE_NAME[customer.language]}`
          : '',
      ...(route.kind === 'held' ? { held: HELD_TEXT[route.why] } : {}),
      ...(text.ok ? text.value : { subject: '', text: '', held: text.error.message }),
    })
  }
  return shown
}
