declare const brand: unique symbol

/** A nominal type: a plain value that only its own constructor may issue. */
export type Brand<T, Name extends string> = T & { readonly [brand]: Name }
