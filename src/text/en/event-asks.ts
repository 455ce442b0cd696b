import type { EventAsk } from '@/core/asks'

/** What is asked for where something goes otherwise than planned, and of a slot that is held, in the staff's English. */
export const EVENT_ASKS: Record<EventAsk, () => string> = {
  'which-car': () => 'Choose the car.',
  'what-is-late': () => 'Choose what comes back later.',
  'what-is-missing': () => 'Say what has not come.',
  'lent-name': () => 'Type the name of whoever is lent to you.',
  'lent-like': () => 'Choose whose work they can do.',
  'car-has-begun': () => 'Work on this car has begun, or it has left. Reload the page.',
  'time-past': () => 'That time has passed. Choose a later day or time.',
  'counter-closed': () => 'The counter is closed then. Choose a time at which the car can be collected.',
  'longer-minutes': () => 'Type how many minutes, such as 90.',
  'longer-whole-minutes': () => 'Type whole minutes, such as 90.',
  'longer-too-long': () => 'That is more than the step can take.',
  'longer-two-days': () => 'Longer than two days: agree on something else with the customer first.',
  'no-wash-outside': () => 'No wash outside is planned for that time.',
  step: () => 'Choose the step.',
  'over-already': () => 'This is already over; it changes no plan.',
  'longer-than-a-year': () => 'Longer than a year: change who works here instead.',
  'who-or-what': () => 'Choose who or what it is.',
  'hold-name': () => 'Type the caller’s name.',
  'hold-phone': () => 'Type a telephone number at which they can be reached.',
  'hold-until': () => 'Choose the last day on which the slot is kept.',
  'hold-too-long': () => 'It can be kept until the day the car has to be here, not longer.',
  'hold-moved': () => 'The schedule has changed since that date was found. Find dates again.',
  'hold-gone': () => 'This slot is not held any more. Reload the page.',
}
