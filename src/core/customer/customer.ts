import type { CustomerId } from '../ids'
import type { Channel, Language } from './contact'

export type Customer = {
  id: CustomerId
  name: string
  phone: string
  email: string
  mayRemind: boolean
  language: Language
  writeBy: Channel
}
