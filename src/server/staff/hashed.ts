import { createHash, randomBytes, scrypt, timingSafeEqual } from 'node:crypto'

/** Passphrases, PINs and tokens as they are kept: so that who has the file has none of them. */

/** scrypt at N = 2^15, r = 8, p = 3: 32 MB, one of the equal choices of the OWASP Password Storage Cheat Sheet. */
const COST_LOG2 = 15
const BLOCK = 8
const PARALLEL = 3
const SALT_BYTES = 16
const KEY_BYTES = 32
const MOST_MEMORY = 64 * 1024 * 1024

/** Hashing is made to be slow: never more than so many at once, whoever knocks. */
const AT_ONCE = 2

let working = 0
const waiting: (() => void)[] = []

/** Waits until fewer than `AT_ONCE` others are hashed, hashes, and lets the next go on. */
async function inTurn<Result>(work: () => Promise<Result>): Promise<Result> {
  if (working >= AT_ONCE) await new Promise<void>((go) => waiting.push(go))
  else working++
  try {
    return await work()
  } finally {
    const next = waiting.shift()
    if (next) next()
    else working--
  }
}

const derive = (secret: string, salt: Buffer, log2: number, r: number, p: number) =>
  inTurn(
    () =>
      new Promise<Buffer>((resolve, reject) =>
        scrypt(secret, salt, KEY_BYTES, { N: 2 ** log2, r, p, maxmem: MOST_MEMORY }, (error, key) =>
          error ? reject(error) : resolve(key),
        ),
      ),
  )

/** A passphrase or PIN as it is kept, with the cost it was made at: `scrypt$15$8$3$salt$key`. */
export async function hashedSecret(secret: string): Promise<string> {
  const salt = randomBytes(SALT_BYTES)
  const key = await derive(secret, salt, COST_LOG2, BLOCK, PARALLEL)
  return ['scrypt', COST_LOG2, BLOCK, PARALLEL, salt.toString('base64url'), key.toString('base64url')].join(
    '$',
  )
}

/** What is compared where nothing is kept: it takes as long, and is never right. */
const NOBODY = ['scrypt', COST_LOG2, BLOCK, PARALLEL, 'AAAAAAAAAAAAAAAAAAAAAA', ''].join('$')

/** Whether a secret is the one that is kept; takes as long where nothing is. */
export async function isSecret(secret: string, kept: string | null | undefined): Promise<boolean> {
  const [, log2, r, p, salt = '', key = ''] = (kept ?? NOBODY).split('$')
  const made = await derive(secret, Buffer.from(salt, 'base64url'), Number(log2), Number(r), Number(p))
  const known = Buffer.from(key, 'base64url')
  return known.length === made.length && timingSafeEqual(known, made)
}

const TOKEN_BYTES = 32

/** What a browser is given to be known again by: nobody guesses 256 bits. */
export const freshToken = (): string => randomBytes(TOKEN_BYTES).toString('base64url')

/** A token as it is kept. It is no word somebody chose, so a quick hash will do. */
export const tokenHash = (token: string): string => createHash('sha256').update(token).digest('hex')
