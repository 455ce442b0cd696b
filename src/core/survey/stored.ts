import type { SurveyRecord } from './record'

export type StoredSurvey = SurveyRecord & { version: number }
