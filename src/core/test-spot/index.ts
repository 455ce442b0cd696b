export {
  type Attempt,
  type AttemptStep,
  HAZES,
  type Haze,
  HEATS,
  type Heat,
  VERDICTS,
  type Verdict,
} from './attempt'
export {
  byClearing,
  byFilm,
  type FilmWitness,
  HAND_SD,
  ofClearing,
  pooled,
  priorOf,
  rateAfter,
  rateOfCar,
  ratioAfter,
} from './give'
export { onGrid } from './grid'
export type { KeptAttempt } from './kept'
export { adviceFor, depthOf, type GroupStudy, paintKnowledge, type StudyInput, studyGroup } from './knowledge'
export { type Advice, nextRung, type Start, type Trial, type Why } from './ladder'
export { KINSHIPS, type KnownCar, type PaintKey, type Recall, recall } from './memory'
export { asDone, byTheMethod, recipeOf, strengthTried, tableUm } from './recipe'
export { attemptSchema } from './schema'
export { type Estimate, factorOf, shrink } from './shrink'
