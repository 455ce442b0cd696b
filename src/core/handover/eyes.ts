import type { PersonId } from '../ids'
import type { Progress } from '../job'
import type { JobPlan } from '../offer'
import { dayIn, type LocalDay } from '../time'
import { BLINDS, blindToIt } from './inspection'
import type { InspectorRule } from './inspector-rule'

/** Who may do the final inspection, and what the shop does where everybody had a hand in the paint. */

/** Why these may look: they had no hand in it, it is the manager's to do, or a night lies between. */
export type Eyes = { people: PersonId[]; because: 'fresh' | 'manager' | 'rested' }

type Looking = {
  staff: readonly { id: PersonId; skills: readonly string[] }[]
  plan: JobPlan
  progress: Readonly<Record<string, Progress>>
  rule: InspectorRule
  /** Whose the manager’s look is, where the rule says so. */
  manager?: PersonId | undefined
  today: LocalDay
  zone: string
}

/**
 * Staff with the skill of the last step who did no work on that paint. Where there is none, the manager by the shop’s rule; else whoever
 * has slept over it: nobody of them, where all worked on it today.
 */
export function eyesFor({ staff, plan, progress, rule, manager, today, zone }: Looking): Eyes {
  const skill = plan.operations.findLast(({ kind }) => kind === 'finish')?.skill
  const able = staff.filter(({ skills }) => skill === undefined || skills.includes(skill))
  const blind = blindToIt(plan, progress)
  const fresh = able.filter(({ id }) => !blind.has(id))
  if (fresh.length > 0) return { people: fresh.map(({ id }) => id), because: 'fresh' }
  if (rule === 'manager' && manager !== undefined) return { people: [manager], because: 'manager' }
  const atItToday = new Set(
    plan.operations.flatMap(({ id, kind }) => {
      const known = progress[id]
      if (!BLINDS.has(kind) || !known || known.kind === 'open' || !known.by) return []
      const last = known.kind === 'done' ? known.to : known.at
      return known.kind === 'started' || dayIn(zone, last) >= today ? [known.by] : []
    }),
  )
  return { people: able.filter(({ id }) => !atItToday.has(id)).map(({ id }) => id), because: 'rested' }
}
