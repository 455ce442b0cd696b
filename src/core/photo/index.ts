export { partOfPhoto, partPhotoPlace } from './part-photo'
export type { Mark, NamedPhoto, Photo, Shown } from './photo'
export { markSchema, marksSchema, shownSchema } from './photo'
