import type { ComponentProps } from 'react'

type Props = Omit<ComponentProps<'input'>, 'type' | 'className' | 'maxLength'> & { autoComplete: string }

/** What nobody should read over a shoulder: longer than any passphrase may be, so that a long one is refused with words. */
export const SecretInput = (given: Props) => (
  <input {...given} className="field" type="password" maxLength={256} />
)
