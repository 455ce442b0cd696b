import path from 'node:path'
import { SimulatedGateway } from '@/devices/message-gateway'
import { dataFolder } from '../db/data-folder'

// Development reloads modules; one letter box must survive that.
const shared = globalThis as unknown as { fernYardGateway?: SimulatedGateway }

/** The carrier of messages: the simulated one that ships with the app. */
export function messageGateway(): SimulatedGateway {
  shared.fernYardGateway ??= new SimulatedGateway(path.join(dataFolder(), 'gateway.db'))
  return shared.fernYardGateway
}
