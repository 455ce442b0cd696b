import type { QuoteWords } from '../quote'

export const quoteInEnglish: QuoteWords = {
  headings: {
    expect: 'What to expect',
    work: 'Work included',
    protection: 'Protection applied',
    price: 'Price',
    darker: 'The darker, the stronger the polish.',
  },
  title: (version, day) => `Quote ${version}, ${day}`,
  draft: 'Draft quote',
  forCustomer: (name) => `for ${name}`,
  job: (number) => `Job ${number}`,
  validUntil: (day) => `Valid until ${day}.`,
  validFor: (days) => `Valid for ${days === 1 ? 'one day' : `${days} days`} once saved.`,
  couldCollect: (day, time) =>
    `If you had accepted when this quote was written, the car would have been ready on ${day} at ${time}. We confirm the day when you accept.`,
  wash: 'Hand wash and decontamination (iron, tar and clay) as needed.',
  on: (process, panels) => `${process} on ${panels}.`,
  everyPanel: 'all panels',
  cleanedOnly: (panels) => `Cleaned, not polished: ${panels}.`,
  afterwards: 'then',
  applied: (surface, products) => `${surface}: ${products}.`,
  tax: (locale) => (locale === 'en-US' ? 'Sales tax' : 'VAT'),
  excludingTax: (tax) => (tax === 'VAT' ? 'Price excluding VAT' : 'Subtotal'),
  total: 'Total',
  deposit: (percent) => `Deposit, ${percent} before the work begins`,
  consumables: 'Pads, towels and tape',
  discount: (percent) => `Discount ${percent}`,
  by: (trade, name) => `${trade} by ${name}`,
  accepted: (name) => `Accepted by ${name} (signature and date)`,
  forShop: (shop) => `For ${shop}`,
}
