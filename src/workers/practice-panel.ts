import { expose } from 'comlink'
import { type Light, type Marks, marksOf, practicePanel, renderPanel, type Size } from '@/core/practice'

/** Paints the practice panel beside the page, so that the lamp follows the finger however many marks there are. */
const painter = {
  marks: undefined as Marks | undefined,
  open(seed: number): void {
    painter.marks = marksOf(practicePanel(seed))
  },
  paint(light: Light, size: Size): ImageData {
    const image = new ImageData(size.width, size.height)
    if (painter.marks) renderPanel(painter.marks, light, size, image.data)
    return image
  },
}

export type Painter = typeof painter
expose(painter)
