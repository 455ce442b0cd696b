import type { CareDate, CareRule } from '@/core/aftercare'
import type { Region } from '@/core/region'
import { shortDay } from '@/text/formats'

/** The year ahead and the rules of care, as shop and owner read them. */

export function spanText(
  region: Region,
  { first, last, everyWeeks }: Pick<CareDate, 'first' | 'last' | 'everyWeeks'>,
): string {
  if (everyWeeks) return `from ${shortDay(region, first)}`
  return first === last ? shortDay(region, first) : `${shortDay(region, first)} to ${shortDay(region, last)}`
}

export function PlanList({ plan, region }: { plan: readonly CareDate[]; region: Region }) {
  return (
    <ol className="mt-2">
      {plan.map((date) => (
        <li key={date.key} className="border-t border-line py-2">
          <p className="font-head font-semibold">
            {date.title} <span className="font-text text-[15px] font-normal">{spanText(region, date)}</span>
          </p>
          <p className="text-[15px]">
            {date.advice} <span className="text-ink-soft">{date.reason}</span>
          </p>
        </li>
      ))}
    </ol>
  )
}

export function RuleLists({ rules }: { rules: readonly CareRule[] }) {
  return (['do', 'do-not'] as const).map((kind) => (
    <ul key={kind} className="mt-2">
      {rules
        .filter((rule) => rule.kind === kind)
        .map(({ id, text, reason }) => (
          <li key={id} className="border-t border-line py-1.5 text-[15px]">
            <strong className={kind === 'do' ? '' : 'text-copper'}>{text}</strong>{' '}
            <span className="text-ink-soft">{reason}</span>
          </li>
        ))}
    </ul>
  ))
}
