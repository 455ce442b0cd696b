export { CHANNEL_NAME, CHANNELS, type Channel, LANGUAGE_NAME, LANGUAGES, type Language } from './contact'
export type { Customer } from './customer'
