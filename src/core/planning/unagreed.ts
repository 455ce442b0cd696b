/** Whether work at the car that the customer would have to pay more for goes on until they have answered, or waits for their yes. */
export const UNAGREED = ['goes-on', 'waits'] as const
export type Unagreed = (typeof UNAGREED)[number]
