/** Letters and digits alone, without case and accents: what one types when one looks for something. */
export function plain(text: string): string {
  return text
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^\p{L}\p{N}]/gu, '')
}
