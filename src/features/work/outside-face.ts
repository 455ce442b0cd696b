import type { PanelFace } from '@/ui/body-plan'

/** A panel that is drawn though the step at hand does not touch it. */
export const outsideFace = (name: string): PanelFace => ({
  fill: 'var(--c-paper)',
  ink: 'var(--c-ink-soft)',
  text: '',
  label: `${name}: not part of this step`,
})
