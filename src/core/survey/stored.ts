import type { SurveyRecord } from './'

export type StoredSurvey = SurveyRecord & { version: number }
