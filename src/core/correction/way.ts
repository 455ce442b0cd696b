/** A process for one panel: what it takes, µm, and why it is not allowed, where it is not. */
export type PanelWay = { name: string; takesUm: number; forbidden?: string }
