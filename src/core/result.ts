/** A computation that can be refused: the value, or a typed error that the edge turns into words. */
export type Result<T, E> = { ok: true; value: T } | { ok: false; error: E }

export function ok<T>(value: T): { ok: true; value: T } {
  return { ok: true, value }
}

export function refused<E>(error: E): { ok: false; error: E } {
  return { ok: false, error }
}

/** Closes a `switch` over a union: a new member that is not handled does not compile. */
export function unreachable(value: never): never {
  throw new Error(`unhandled case: ${JSON.stringify(value)}`)
}
