import type { Migration } from './migration'

/**
 * A message no longer holds the token of the page it leads to: that is put in as it is handed over. What was written before is put the same way;
 * a token has 24 letters.
 */
export const noTokenInMessages: Migration = {
  name: '0045-no-token-in-messages',
  statements: [
    `UPDATE messages
     SET text = substr(text, 1, instr(text, '/o/') + 2) || '{page}' || substr(text, instr(text, '/o/') + 27)
     WHERE instr(text, '/o/') > 0 AND instr(text, '{page}') = 0`,
  ],
}
