import type { CareDate, CareRule } from '@/core/aftercare'
import type { Region } from '@/core/region'
import { careWords, saidOf } from '@/text/care'
import { shortDay } from '@/text/formats'

/** The year ahead and the rules of care, as shop and owner read them. */

export function spanText(
  region: Region,
  { first, last, everyWeeks }: Pick<CareDate, 'first' | 'last' | 'everyWeeks'>,
): string {
  const { when } = careWords(region)
  if (everyWeeks) return when.from(shortDay(region, first))
  return first === last ? shortDay(region, first) : when.span(shortDay(region, first), shortDay(region, last))
}

export function PlanList({ plan, region }: { plan: readonly CareDate[]; region: Region }) {
  return (
    <ol className="mt-2">
      {plan
        .map((date) => ({ date, said: saidOf(region, date) }))
        .map(({ date, said }) => (
          <li key={date.key} className="border-t border-line py-2">
            <p className="font-head font-semibold">
              {said.title} <span className="font-text text-[15px] font-normal">{spanText(region, date)}</span>
            </p>
            <p className="text-[15px]">
              {said.advice} <span className="text-ink-soft">{said.reason}</span>
            </p>
          </li>
        ))}
    </ol>
  )
}

export function RuleLists({ rules, region }: { rules: readonly CareRule[]; region: Region }) {
  const words = careWords(region)
  return (['do', 'do-not'] as const).map((kind) => (
    <div key={kind} className="mt-3">
      <h3 className={kind === 'do' ? 'text-lg' : 'text-lg text-copper'}>
        {kind === 'do' ? words.do : words.avoid}
      </h3>
      <ul>
        {rules
          .filter((rule) => rule.kind === kind)
          .map((rule) => ({ id: rule.id, ...words.rule[rule.id](rule) }))
          .map(({ id, text, reason }) => (
            <li key={id} className="border-t border-line py-1.5 text-[15px]">
              <strong>{text}</strong> <span className="text-ink-soft">{reason}</span>
            </li>
          ))}
      </ul>
    </div>
  ))
}
