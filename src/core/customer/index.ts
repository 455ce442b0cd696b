export type { Customer } from './customer'
