import { type APART, EXTRA_KEYS, type OperationKind } from '@/core/offer'
import { type Named, titleOf } from './correction'
import { sentence } from './sentence'
import { workInEnglish } from './work'

/** What the shop calls the kinds of work it learns the minutes of. */

const ROLE: Record<string, string> = { cut: 'cutting', refine: 'refining', single: 'polishing' }
type Kind = Exclude<OperationKind, 'extra'> | (typeof APART)[number]
const KIND: Record<Kind, string> = {
  wash: 'Washing',
  'rinseless-wash': 'Rinseless wash',
  rewash: 'Short wash again',
  mask: 'Masking and test spot',
  tape: 'Taping up',
  buff: 'Buffing off an all-in-one',
  wipe: 'Panel wipe',
  layer: 'Applying a coating layer',
  surface: 'Coating glass, trim, wheels',
  finish: 'Refit and final inspection',
  inspect: 'Final inspection',
  look: 'Inspecting a coating',
  cut: 'Cutting',
  refine: 'Refining',
  polish: 'Polishing',
  vendor: 'Work of others',
  hold: 'Keeping dry',
  'wheels-on': 'Wheels back on',
}

/** A kind of work the shop learns the minutes of, from its key. */
export function workName(key: string, methods: readonly Named[] = []): string {
  const [first, role] = key.split(':') as [string, string | undefined]
  const extra = EXTRA_KEYS.find((each) => first === 'extra' && each === role)
  if (extra) return sentence(workInEnglish.extra[extra].name)
  if (role) return `${titleOf(methods, first)}, ${ROLE[role] ?? role}`
  return KIND[key as Kind] ?? key
}
