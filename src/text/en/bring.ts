import type { BringFault, BringField, Recognised } from '@/core/bring'
import type { TableError } from '@/core/table'

/** What a column of a list may hold, as it is chosen above it. */
export const BRING_FIELD_NAME: Record<BringField, string> = {
  name: 'Customer’s name',
  phone: 'Telephone',
  email: 'E-mail',
  plate: 'Plate',
  vin: 'VIN',
  make: 'Make',
  model: 'Model',
  year: 'Year',
  colour: 'Colour',
  colourCode: 'Paint code',
  shape: 'Body shape',
  day: 'Past job: day',
  work: 'Past job: what was done',
  price: 'Past job: price',
}

const FAULT: Record<BringFault['code'], (text: string) => string> = {
  'no-name': () => 'no customer’s name',
  'too-long': (text) => `“${text}…” is longer than 200 characters`,
  'not-a-mail': (text) => `“${text}” is no e-mail address`,
  'not-a-year': (text) => `“${text}” is no year`,
  'not-a-day': (text) => `“${text}” is no day`,
  'day-ahead': (text) => `“${text}” lies in the future`,
  'not-a-price': (text) => `“${text}” is no price`,
  'ambiguous-price': (text) => `“${text}” can be read in two ways`,
  'no-plate': () => 'a vehicle without plate and VIN',
  'work-without-vehicle': () => 'a past job without a vehicle',
  'work-without-day': () => 'a past job without a day',
}

/** What keeps a row from being brought. */
export const bringFaultText = ({ code, text }: Pick<BringFault, 'code' | 'text'>): string => FAULT[code](text)

/** By what somebody or something was known. */
export const RECOGNISED_BY: Record<Recognised['by'], string> = {
  vin: 'same VIN',
  plate: 'same plate',
  phone: 'same telephone number',
  email: 'same e-mail address',
}

/** What is wrong with a file, and what to do. */
export function listFileText(error: TableError): string {
  switch (error.code) {
    case 'empty':
      return 'The file is empty. Export the list once more.'
    case 'not-text':
      return 'This is not a table of text. Export the list as CSV and choose that file.'
    case 'too-long':
      return 'The file has more than 100,000 lines. Cut it in two and bring one after the other.'
    case 'malformed':
      return `Line ${error.line} cannot be read. Close every quotation mark there, or export the list once more.`
  }
}
