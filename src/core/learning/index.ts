export { type PaceLesson, paceLessons } from './calibration'
export { type DepthLesson, depthLessons, markOfKey } from './depths'
export {
  type Account,
  type Cause,
  type PackageEarnings,
  packageEarnings,
  type ShopCosts,
} from './earnings'
export { type Learned, learnedFrom, monthsOf, PERIODS, type Period, staffedHours } from './learned'
export {
  type BayStay,
  type ClearingLesson,
  type Lesson,
  type LessonInput,
  type LessonStep,
  lessonOf,
  type Tick,
} from './lesson'
export { LEARNED_OF, type LearnedOf, type PaceChange } from './pace-change'
export {
  type BayTally,
  bayUseByMonth,
  type ClearingTally,
  clearingByProcess,
  hoursByPanel,
  hoursByWork,
  type MonthSpan,
  type MonthTally,
  onTimeByMonth,
  type PanelHours,
  type ProductTally,
  productPerCar,
  type WorkHours,
} from './tallies'
