export { partOfPhoto, partPhotoPlace } from './part-photo'
export type { Mark, Photo } from './photo'
export { markSchema, marksSchema } from './photo'
