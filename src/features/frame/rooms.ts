import type { Stage } from '@/core/job'

/** The rooms of a job, in the order of the work. */
export const JOB_ROOMS = [
  { room: 'walk', label: 'Walk-round' },
  { room: 'wash', label: 'Wash' },
  { room: 'survey', label: 'Survey' },
  { room: 'promises', label: 'Promises' },
  { room: 'spots', label: 'Test spots' },
  { room: 'plan', label: 'Plan' },
  { room: 'quote', label: 'Quote' },
  { room: 'schedule', label: 'Schedule' },
  { room: 'work', label: 'Work' },
  { room: 'finish', label: 'Handover' },
  { room: 'care', label: 'Care' },
] as const

export type JobRoom = (typeof JOB_ROOMS)[number]['room']

/** Where the work of a job at this stage is done. */
export function roomFor(stage: Stage): JobRoom {
  switch (stage.kind) {
    case 'to-measure':
      return 'survey'
    case 'to-choose':
      return 'plan'
    case 'ready':
      return 'finish'
    case 'handed-over':
      return 'care'
    default:
      return 'work'
  }
}
