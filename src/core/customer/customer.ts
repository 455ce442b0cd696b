import type { CustomerId } from '../ids'
import type { CustomerTax } from '../offer/tax'
import type { Language } from '../region'
import type { Channel } from './contact'

export type Customer = {
  id: CustomerId
  name: string
  phone: string
  email: string
  mayRemind: boolean
  language: Language
  writeBy: Channel
  tax: CustomerTax
}
