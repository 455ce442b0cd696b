import { Readable } from 'node:stream'
import type { ReadableStream as WebStream } from 'node:stream/web'
import { Decrypter, Encrypter } from 'age-encryption'

/** Encryption with a passphrase in the open format age (age-encryption.org/v1): any program that knows it opens what is written here. */

/** Work to try one passphrase, as a power of two: about a second, and 256 MB (the usual of the format). */
const WORK_LOG2 = 18

export async function sealed(plain: Readable, passphrase: string): Promise<Readable> {
  const encrypter = new Encrypter()
  encrypter.setPassphrase(passphrase)
  encrypter.setScryptWorkFactor(WORK_LOG2)
  const out = await encrypter.encrypt(Readable.toWeb(plain) as unknown as ReadableStream<Uint8Array>)
  return Readable.fromWeb(out as unknown as WebStream)
}

/** Throws where the passphrase is another, or at the place at which something was changed or cut off. */
export async function unsealed(secret: Readable, passphrase: string): Promise<Readable> {
  const decrypter = new Decrypter()
  decrypter.addPassphrase(passphrase)
  const out = await decrypter.decrypt(Readable.toWeb(secret) as unknown as ReadableStream<Uint8Array>)
  return Readable.fromWeb(out as unknown as WebStream)
}
