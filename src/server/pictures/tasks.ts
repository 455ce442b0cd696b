import { drawnAnew } from '../shop/logo'
import { areWhole, coveredPicture, photoPicture } from './decode'

/** What the process for pictures does. */
export const PICTURE_TASKS = {
  photo: photoPicture,
  covered: coveredPicture,
  whole: areWhole,
  logo: drawnAnew,
}
export type PictureTasks = typeof PICTURE_TASKS
