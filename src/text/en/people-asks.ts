import type { PeopleAsk } from '@/core/asks'
import { RETENTION_MONTHS } from '@/core/people'

/** What is asked for where it is about the people behind a car, in the staff's English. */
export const PEOPLE_ASKS: Record<PeopleAsk, () => string> = {
  'said-how': () => 'Say how they told you about reminders.',
  'erase-name': () => 'Type their name exactly as it stands above.',
  'erase-expected': () =>
    'One of their cars is here or booked. Hand it over or cancel first; then they can be erased.',
  'put-away-expected': () => 'This car is here or booked. Hand it over or cancel first.',
  'retention-months': () => `Type whole months from ${RETENTION_MONTHS.least} to ${RETENTION_MONTHS.most}.`,
  'to-confirm': () =>
    'A trainee finished a step of this car, and nobody has confirmed it yet. Look at it and confirm it under Today.',
  'confirmed-already': () => 'This was confirmed already, or the step is open again.',
  'links-most': () => 'Twenty of these addresses are open already. Close one that nobody needs any more.',
  'disk-full': () =>
    'The disk of the shop’s machine is full. Nothing was changed. Make room on it, then try again.',
  'only-themselves': () => 'Only who did it can say so, once; or a manager who knows.',
  'second-person': () => 'Somebody else has to look at it: not who did it, and no trainee.',
}
