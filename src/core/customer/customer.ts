import type { Channel, Language } from '../messages'

export type Customer = {
  id: string
  name: string
  phone: string
  email: string
  mayRemind: boolean
  language: Language
  writeBy: Channel
}
