export {
  type Attempt,
  HAZES,
  type Haze,
  HEATS,
  type Heat,
  VERDICTS,
  type Verdict,
} from './attempt'
export { byClearing, byFilm, ofRemoval, pooled, priorOf, tableUm, witnessesOf } from './give'
export type { KeptAttempt } from './kept'
export { adviceFor, type GroupStudy, paintKnowledge, type StudyInput, studyGroup } from './knowledge'
export { type Advice, nextRung, type Start, type Why } from './ladder'
export { KINSHIPS, type KnownCar, type PaintKey, type Recall, recall } from './memory'
export { attemptSchema } from './schema'
export { type Estimate, factorOf, shrink } from './shrink'
