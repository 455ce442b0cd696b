export { LANGUAGES, type Language } from '../region'
export { CHANNELS, type Channel, LANGUAGE_NAME } from './contact'
export type { Customer } from './customer'
