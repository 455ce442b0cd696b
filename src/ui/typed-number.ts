/** What somebody typed as a number: a comma is as good as a point; an empty field is no number, and no nought. */
export function typedNumber(text: string): number {
  return text.trim() === '' ? Number.NaN : Number(text.trim().replace(',', '.'))
}
