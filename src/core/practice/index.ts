export { type Comparison, compareGrade, type Difference, type Grade } from './grade'
export {
  PRACTICE_FINDINGS,
  PRACTICE_KINDS,
  PRACTICE_PANELS,
  type PracticeFinding,
  type PracticeKind,
  type PracticePanel,
  practicePanel,
} from './panel'
