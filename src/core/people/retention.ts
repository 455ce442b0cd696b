import type { LocalDay } from '../time'
import { plusMonths } from '../time'

/** For how long what is kept of people: no longer than it serves (GDPR, Art. 5 (1) e). The months are the shop's own; those here only begin with. */

export const RETENTION_KINDS = ['messages', 'photographs', 'customers'] as const
export type RetentionKind = (typeof RETENTION_KINDS)[number]
export type Retention = Record<RetentionKind, number>

/** Months (mem): what is claimed after years is claimed of a contract, and that is kept with its record, not with the person. */
export const FIRST_RETENTION: Retention = { messages: 36, photographs: 60, customers: 84 }
export const RETENTION_MONTHS = { least: 1, most: 600 } as const

/** What was last of use before this day has been kept for its time. */
export const keptUntil = (today: LocalDay, months: number): LocalDay => plusMonths(today, -months)

/** What becomes of photographs of a customer's cars when they are erased. */
export const PHOTO_CHOICES = ['keep', 'blur', 'remove'] as const
export type PhotoChoice = (typeof PHOTO_CHOICES)[number]
