import type { Contamination, WashMethod, WashPlace } from './'

export type WashFindings = { contamination: Contamination; place: WashPlace; method?: WashMethod | undefined }

export type StoredWash = { findings?: WashFindings; version: number }
