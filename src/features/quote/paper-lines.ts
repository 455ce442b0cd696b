import { SURFACE } from '@/core/coating'
import { CARE } from '@/core/correction'
import type { PriceLine, Summary } from '@/core/offer'
import type { Region } from '@/core/region'
import { duration } from '@/text/formats'

/** What stands on the paper beside the prices, in the order of the work. The screen and the PDF say the same. */

/** “two-step on the bonnet, the roof; one-step polish on …”, the strongest first. */
export function workLines({ panels, care }: Summary): string[] {
  const byProcess = new Map<string, { names: string[]; takes: number }>()
  for (const { name, process, takesUm } of panels) {
    const entry = byProcess.get(process) ?? { names: [], takes: takesUm }
    byProcess.set(process, { ...entry, names: [...entry.names, name.toLowerCase()] })
  }
  const worked = [...byProcess].filter(([, { takes }]) => takes > 0).sort((a, b) => b[1].takes - a[1].takes)
  const lines = worked.map(
    ([process, { names }]) =>
      `${process} on ${names.length === panels.length ? 'every panel' : names.join(', ')}.`,
  )
  const left = byProcess.get('Leave')?.names
  return [
    'Hand wash, iron, tar and clay, as far as it is needed.',
    ...lines,
    ...(left && worked.length > 0 ? [`Cleaned, not polished: ${left.join(', ')}.`] : []),
    ...(worked.length > 0 ? [`${CARE[care].name}: ${lowerFirst(CARE[care].means)}`] : []),
  ]
}

const lowerFirst = (text: string) => text[0]!.toLowerCase() + text.slice(1)

/** What is laid on which surface. */
export function coatLines({ coats }: Summary): string[] {
  const paint = coats.filter(({ surface }) => surface === 'paint').map(({ product }) => product)
  const beside = coats.flatMap(({ surface, product }) =>
    surface === 'paint' ? [] : [`${SURFACE[surface].name}: ${product}.`],
  )
  return [...(paint.length > 0 ? [`Paint: ${paint.join(', then ')}.`] : []), ...beside]
}

/** Where a line of the price comes from, in the words of the plan. */
export function lineOrigin(
  region: Region,
  line: PriceLine,
  operations: readonly { id: string; title: string; minutes: number; people: number }[],
): string {
  if (line.kind === 'labour')
    return operations
      .filter(({ id }) => line.operations.includes(id))
      .map(({ title, minutes, people }) => `${title.toLowerCase()} ${duration(region, minutes * people)}`)
      .join(', ')
  return ''
}
