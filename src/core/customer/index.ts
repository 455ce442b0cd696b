export { LANGUAGES, type Language } from '../region'
export { CHANNEL_NAME, CHANNELS, type Channel, LANGUAGE_NAME } from './contact'
export type { Customer } from './customer'
