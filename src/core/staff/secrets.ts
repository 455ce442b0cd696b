/** What somebody proves by that it is they: a passphrase anywhere, a PIN on a device of the shop. */

/** Characters. The least is that of NIST SP 800-63B (rev. 4) for a secret that stands alone; the most only bounds the work. */
export const PASSPHRASE_LEAST = 15
export const PASSPHRASE_MOST = 128

/** Written as it will be typed: accents and widths of letters alike, whichever keyboard they come from. */
export const plainPassphrase = (typed: string) => typed.normalize('NFKC')

export type PassphraseFault = 'short' | 'long' | 'name' | 'repeats'

/** What is wrong with a passphrase somebody chose; nothing where it will do. */
export function passphraseFault(typed: string, name: string): PassphraseFault | undefined {
  const plain = plainPassphrase(typed)
  const letters = [...plain]
  if (letters.length < PASSPHRASE_LEAST) return 'short'
  if (letters.length > PASSPHRASE_MOST) return 'long'
  const low = plain.toLowerCase()
  const own = name.trim().toLowerCase()
  // A name with a little round it is the first that is tried.
  if (own.length >= 3 && low.replaceAll(own, '').length < PASSPHRASE_LEAST / 2) return 'name'
  if (new Set(letters).size < 6) return 'repeats'
  return undefined
}

const PIN = /^\d{4,8}$/

export type PinFault = 'digits' | 'easy'

/** All one digit, or digits in a row: what is tried first. */
const isEasy = (pin: string) =>
  [...pin].every((digit) => digit === pin[0]) || '01234567890'.includes(pin) || '09876543210'.includes(pin)

/** What is wrong with a PIN somebody chose; nothing where it will do. */
export function pinFault(typed: string): PinFault | undefined {
  if (!PIN.test(typed)) return 'digits'
  return isEasy(typed) ? 'easy' : undefined
}
