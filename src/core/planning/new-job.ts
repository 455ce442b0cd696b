import { toJobId } from '../ids'
import type { LiveJob } from '../job'
import type { JobPlan } from '../offer'
import type { Instant } from '../time'
import type { VehicleSize } from '../vehicle'

const NEW = toJobId('new')

/** A job the shop does not have yet, as the scheduler tries it. Its id is nobody's, and goes no further. */
export const newJob = (plan: JobPlan, arrive: Instant, size: VehicleSize): LiveJob => ({
  id: NEW,
  arrive,
  weight: 1,
  plan,
  size,
  progress: {},
  published: [],
})
