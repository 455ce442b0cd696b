import type { PlannedOperation } from '../offer/operations'

export type FileOperation = Record<string, unknown> & { id: string }

export const fileOperation = ({ id, minutes, mode, people, skill }: PlannedOperation): FileOperation => ({
  id,
  minutes,
  mode,
  people,
  ...(skill ? { skill } : {}),
})

export const unattended = (id: string, minutes: number): FileOperation => ({
  id,
  minutes: Math.max(1, Math.round(minutes)),
  mode: 'unattended',
  people: 0,
})
