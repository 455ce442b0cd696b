/** Where the processes chosen along the curve wait until the quote page has read them. */
export const quoteDraftKey = (jobId: string) => `fern-yard:quote:${jobId}`
