import type { Knex } from 'knex'
import { LANGUAGE_NAME } from '@/core/customer'
import type { Proposed } from '@/core/messages'
import type { ProposalView } from '@/core/messages/proposed'
import type { Shop } from '@/core/shop'
import { loadTemplates } from '@/server/messages/message-store'
import { writtenOut } from '@/server/messages/proposed-messages'
import { CHANNEL_NAME, HELD_TEXT, PAGE_SHOWN } from '@/text/en/messages'
import { dueFacts } from '@/text/messages'

export async function proposalViews(
  db: Knex,
  shop: Shop,
  proposed: readonly Proposed[],
): Promise<ProposalView[]> {
  const templateOf = await loadTemplates(db)
  return proposed.map((each) => {
    const { due, customer, vehicle, route } = each
    const words = templateOf(due.occasion, customer.language)
    const text = writtenOut(words, shop, each, {
      ...dueFacts(shop.setup.region, each.customer.language, due),
      page: PAGE_SHOWN,
    })
    return {
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
    }
  })
}
