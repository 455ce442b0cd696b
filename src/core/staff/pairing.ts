/** The code by which a tablet becomes one of the shop's: read off a screen by its camera, or typed. */

/** It is good once, and for so long. */
export const PAIRING_MINUTES = 10

/** Digits and letters that are not taken for each other: the alphabet of Crockford's base 32. */
const SIGNS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ'
const MISREAD: Readonly<Record<string, string>> = { O: '0', I: '1', L: '1' }

/** Sixty bits: nobody guesses one of them in ten minutes. */
export const PAIRING_BYTES = 12
const GROUP = 4

/** A code from as many bytes of chance as it has signs. */
export const pairingCodeOf = (bytes: Uint8Array): string =>
  Array.from(bytes, (byte) => SIGNS[byte % SIGNS.length]).join('')

/** As it is shown: in groups, so that a person can type it. */
export const groupedCode = (code: string): string =>
  (code.match(new RegExp(`.{1,${GROUP}}`, 'g')) ?? []).join(' ')

/** As it was made, however it was typed. */
export const plainPairingCode = (typed: string): string =>
  Array.from(typed.toUpperCase().replaceAll(/[\s-]/g, ''), (sign) => MISREAD[sign] ?? sign).join('')
