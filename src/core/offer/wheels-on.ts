import type { PlannedOperation } from './job-plan'

/** The step in which wheels that came off are put back. Kept apart, so that the card carries no parser with it. */
export const isWheelsOn = ({ title }: Partial<Pick<PlannedOperation, 'title'>>): boolean =>
  typeof title === 'object' && title.code === 'wheels-on'
