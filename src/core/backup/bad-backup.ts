/** Why a backup cannot be used. Nothing that stood was touched. */
export type BadBackup =
  | { code: 'no-such-file' }
  | { code: 'needs-passphrase' }
  | { code: 'wrong-passphrase' }
  /** It ends too early, or something in it is not as it was written; the file in it, where that is known. */
  | { code: 'damaged'; name?: string }
  /** It is of a newer version than this program. */
  | { code: 'newer'; step: string }
  /** The shop is being served from the folder. */
  | { code: 'in-use'; process: number }
