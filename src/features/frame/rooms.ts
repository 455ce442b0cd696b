import type { JobKind, Stage } from '@/core/job'

/** The rooms of a job, in the order of the work. */
export const JOB_ROOMS = [
  { room: 'visit', label: 'Inspection' },
  { room: 'walk', label: 'Walk-round' },
  { room: 'wash', label: 'Wash' },
  { room: 'survey', label: 'Survey' },
  { room: 'sign-off', label: 'Sign-off' },
  { room: 'spots', label: 'Test spots' },
  { room: 'plan', label: 'Plan' },
  { room: 'quote', label: 'Quote' },
  { room: 'schedule', label: 'Schedule' },
  { room: 'work', label: 'Job card' },
  { room: 'finish', label: 'Handover' },
  { room: 'care', label: 'Care' },
] as const

/** What a short job has no use for: nothing is promised, tried or offered in it. */
const SHORT: readonly string[] = ['walk', 'survey', 'schedule', 'work', 'finish', 'care']
const ROOMS_OF: Record<JobKind, readonly string[]> = {
  work: JOB_ROOMS.map(({ room }) => room).filter((room) => room !== 'visit'),
  visit: ['visit', ...SHORT],
  repair: SHORT,
}

export const roomsOf = (kind: JobKind) => JOB_ROOMS.filter(({ room }) => ROOMS_OF[kind].includes(room))

export type JobRoom = (typeof JOB_ROOMS)[number]['room']

/** Where the work of a job at this stage is done. */
export function roomFor(stage: Stage, kind: JobKind = 'work'): JobRoom {
  switch (stage.kind) {
    case 'to-measure':
      return 'survey'
    case 'to-look':
      return 'visit'
    case 'to-choose':
      return 'plan'
    case 'ready':
      return 'finish'
    case 'handed-over':
      return kind === 'visit' ? 'visit' : 'care'
    default:
      return 'work'
  }
}
