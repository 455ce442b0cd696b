export { partOfPhoto, partPhotoPlace } from './part-photo'
export type { Mark, Photo, Shown } from './photo'
export { markSchema, marksSchema, shownSchema } from './photo'
