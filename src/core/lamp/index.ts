export { type Marks, marksOf, type SeenPanel, type WorkOnMarks } from './marks'
export { type Light, type Rgb, renderPanel, type Size } from './render'
export { panelToShow, seedOf, type ToShow } from './seen'
export { tintOf } from './tint'
