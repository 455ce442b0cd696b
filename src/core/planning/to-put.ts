import type { MethodKey, PanelGroup } from '../correction'
import type { JobId } from '../ids'
import type { Instant } from '../time'

/** A method that was changed at the car, with the words of whoever did. */
export type MethodChange = { panel: string; process: MethodKey; reason: string }

/** Changes of the same kind for the same reason said once, with all their panels; in the order in which they were first said. */
export function alike(
  methods: readonly MethodChange[],
): (Omit<MethodChange, 'panel'> & { panels: string[] })[] {
  const groups = new Map<string, { panels: string[]; process: MethodKey; reason: string }>()
  for (const { panel, process, reason } of methods) {
    const key = `${process} ${reason}`
    const group = groups.get(key) ?? { panels: [], process, reason }
    group.panels.push(panel)
    groups.set(key, group)
  }
  return [...groups.values()]
}

/** What a change of methods at the car would come to before it holds. */
export type MethodPreview = {
  /** Minutes of the shop's own hands more; fewer where negative. */
  minutes: number
  /** What the customer would be asked for more, integer cents of the shop's currency. */
  cents: number
  /** When it could be fetched as it is planned, and with the change; nobody else is moved. */
  collect: { before?: Instant; after?: Instant }
}

/** What test spots that were made after a job was agreed change of it. */
export type SpotNews = {
  /** Groups of panels for which another method is settled than they are to be worked by. */
  settled: { group: PanelGroup; panels: string[]; process: MethodKey; preview: MethodPreview }[]
  /** What the same methods come to by what is known of the paint now, where that is another time. */
  anew?: MethodPreview
}

/** What waits to be put to a customer: methods changed at the car, and marks of a second inspection. */
export type ToPut = { jobId: JobId; plate: string; methods: MethodChange[]; marks: number }
