import type { JobId } from '@/core/ids'
/** Where the processes chosen along the curve wait until the quote page has read them. */
export const quoteDraftKey = (jobId: JobId) => `fern-yard:quote:${jobId}`
