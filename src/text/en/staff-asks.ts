import type { StaffAsk } from '@/core/asks'
import { IDLE_MINUTES, PASSPHRASE_LEAST, PASSPHRASE_MOST } from '@/core/staff'

/** What is asked for where people sign in, and of who may do so, in the staff's English. */
export const STAFF_ASKS: Record<StaffAsk, () => string> = {
  // The same whether it is the name or the passphrase: nobody is told which names there are.
  'wrong-sign-in': () => 'Name and passphrase do not go together. Check both and try again.',
  'wrong-pin': () => 'That is not the PIN. Try again, or use your passphrase.',
  'pin-only-here': () => 'A PIN works only on the shop’s own devices. Use your passphrase.',
  'staff-name': () => 'Type a name of up to 60 letters.',
  'staff-name-taken': () => 'Somebody already signs in with this name. Add a letter or a family name.',
  'staff-role': () => 'Choose what they are here.',
  'passphrase-short': () =>
    `Take at least ${PASSPHRASE_LEAST} characters. Four or five words in a row are easy to remember.`,
  'passphrase-long': () => `Take no more than ${PASSPHRASE_MOST} characters.`,
  'passphrase-name': () => 'Your own name is the first thing anybody would try. Take other words.',
  'passphrase-repeats': () => 'The same few letters over and over are easy to guess. Take other words.',
  'passphrase-wrong': () => 'This is not your passphrase. Nothing was changed.',
  'pin-digits': () => 'A PIN has 4 to 8 digits.',
  'pin-easy': () => 'This PIN is one of the first anybody would try. Take another.',
  'device-name': () => 'Say what this device is called, such as “Tablet by the wash bay”.',
  'pairing-code': () => 'This code is not good, or no longer. Ask for a new one at the desk: Shop, Tablets.',
  'last-owner': () => 'Nobody else here is an owner who can sign in. Make somebody else one first.',
  'owner-passphrase': () => 'An owner needs a passphrase. Set one first.',
  'set-up-already': () => 'This shop has an owner already. Sign in instead.',
  'not-yourself': () => 'You cannot take yourself away while you are signed in. Another owner can.',
  'idle-minutes': () => `Type whole minutes from ${IDLE_MINUTES.least} to ${IDLE_MINUTES.most}.`,
  'set-up-first': () => 'Set up an owner first; until then everybody at this machine is one.',
  'backup-not-made': () =>
    'The backup could not be made. Check that its folder can be written and has room, and that the file with its passphrase can be read, then try again.',
  'backup-broken': () =>
    'The latest backup cannot be restored. Make a new one, and look at the disk it lies on and at the passphrase.',
  'no-backup': () => 'There is no backup yet. Make one first.',
  'no-public-address': () =>
    'This message leads to a page, and where owners reach the shop is not set. Set FERN_YARD_PUBLIC_URL and start again, or take {page} out of the words.',
  'not-of-crew': () => 'Choose somebody of the crew, or nobody.',
}
