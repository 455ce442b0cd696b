import { PROCESSES } from '../correction'
import { EXTRA, EXTRA_KEYS } from '../offer'

const ROLE: Record<string, string> = { cut: 'cutting', refine: 'refining', single: 'polishing' }
const KIND: Record<string, string> = {
  wash: 'Washing',
  mask: 'Masking and test spot',
  wipe: 'Panel wipe',
  layer: 'Laying a coat',
  surface: 'Coating glass, trim, wheels',
  finish: 'Refit and final inspection',
  look: 'Looking at a coating',
  cut: 'Cutting',
  refine: 'Refining',
  polish: 'Polishing',
}

/** A kind of work in the words of the shop. */
export function workName(key: string): string {
  const [first, role] = key.split(':') as [string, string | undefined]
  if (first === 'extra') {
    const extra = EXTRA_KEYS.find((each) => each === role)
    return extra ? EXTRA[extra].name : key
  }
  const process = PROCESSES.find((each) => each.key === first)
  if (process && role) return `${process.name}, ${ROLE[role] ?? role}`
  return KIND[key] ?? key
}
