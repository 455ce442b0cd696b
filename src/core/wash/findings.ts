import type { Contamination } from './contamination'
import type { WashMethod, WashPlace } from './method'

export type WashFindings = { contamination: Contamination; place: WashPlace; method?: WashMethod | undefined }

export type StoredWash = { findings?: WashFindings; version: number }
