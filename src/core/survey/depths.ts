import type { Defect } from './defects'

/** How deep the shop has found marks of a kind and severity against the table, by `swirls:2`; what is not in it lies as the table says. */
export type DepthScales = Readonly<Record<string, number>>

type Mark = Pick<Defect, 'kind' | 'severity'>

export const depthKey = ({ kind, severity }: Mark): string => `${kind}:${severity}`

/** A mark as deep as the shop has learned that such marks lie. */
export function asDeep<M extends Mark & { depthFactor?: number }>(mark: M, depths: DepthScales = {}): M {
  const depthFactor = depths[depthKey(mark)]
  return depthFactor === undefined ? mark : { ...mark, depthFactor }
}
