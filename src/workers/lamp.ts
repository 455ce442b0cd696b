import { expose } from 'comlink'
import {
  type Light,
  type Marks,
  marksOf,
  type Rgb,
  renderPanel,
  type SeenPanel,
  type Size,
  type WorkOnMarks,
} from '@/core/lamp'

/** Paints a panel under a lamp beside the page, so that the lamp follows the finger however many marks there are. */
const painter = {
  marks: new Map<string, Marks>(),
  /** The panel as it is, or as work would leave it. */
  paint(
    panel: SeenPanel,
    light: Light,
    size: Size,
    more: { work?: WorkOnMarks; paint?: Rgb } = {},
  ): ImageData {
    const key = JSON.stringify([panel, more.work])
    const marks = painter.marks.get(key) ?? marksOf(panel, more.work)
    painter.marks.set(key, marks)
    const image = new ImageData(size.width, size.height)
    renderPanel(marks, light, size, image.data, more.paint)
    return image
  },
}

export type Painter = typeof painter
expose(painter)
