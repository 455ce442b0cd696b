import clsx from 'clsx'
import type { Milestone } from '@/core/aftercare'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { careWords } from '@/text/care'
import { paperDay, paperMoment } from '@/text/formats'

/** Whether a hold has run out. */
const isOver = ({ when, hold }: Milestone, now: Instant | undefined) =>
  hold && now !== undefined && when.kind === 'instant' && when.at <= now

export function milestoneWhen(milestone: Milestone, region: Region, now?: Instant): string {
  const { when, hold } = milestone
  const words = careWords(region).when
  if (when.kind === 'instant') {
    const moment = paperMoment(region, when.at)
    if (isOver(milestone, now)) return words.over(moment)
    return hold ? words.until(moment) : words.from(moment)
  }
  return when.until
    ? words.span(paperDay(region, when.day), paperDay(region, when.until))
    : words.from(paperDay(region, when.day))
}

type Props = { milestones: readonly Milestone[]; region: Region; now?: Instant }

/** The weeks after the coating as a stem: holds first, in copper, then what may be done from when. */
export function MilestoneList({ milestones, region, now }: Props) {
  const { milestone: words } = careWords(region)
  const holds = (milestone: Milestone) => milestone.hold && !isOver(milestone, now)
  return (
    <ol className="border-l-[3px] border-fern pl-5">
      {milestones.map((milestone) => (
        <li key={milestone.key} className="relative py-2.5" data-milestone={milestone.key}>
          <svg
            viewBox="0 0 30 18"
            className={clsx(
              'absolute top-3.5 -left-[22px] w-7',
              holds(milestone) ? 'stroke-copper' : 'stroke-fern',
            )}
            aria-hidden="true"
          >
            <path
              d="M1,9 C8,0 22,0 29,9 C22,18 8,18 1,9 Z"
              className={holds(milestone) ? 'fill-sheet' : 'fill-fern'}
              strokeWidth="2"
            />
          </svg>
          <div className="pl-4">
            <p className={clsx('font-head text-lg font-semibold', holds(milestone) && 'text-copper')}>
              {words[milestone.key].title}{' '}
              <span className="font-text text-base font-normal text-ink">
                {milestoneWhen(milestone, region, now)}
              </span>
            </p>
            <p className="text-ink-soft">{words[milestone.key].advice}</p>
          </div>
        </li>
      ))}
    </ol>
  )
}
