export type { Mark, Photo } from './photo'
export { markSchema, marksSchema } from './photo'
