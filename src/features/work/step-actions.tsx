import { type ReactNode, useEffect, useRef, useState } from 'react'
import {
  CHECKLISTS,
  type CheckId,
  coatSections,
  coatStageOf,
  PAUSE_REASONS,
  pausedNow,
  WHEEL_CHECKS,
  workOn,
} from '@/core/card'
import { progressAt } from '@/core/job'
import type { PlannedOperation } from '@/core/offer'
import { isWheelsOn } from '@/core/offer/wheels-on'
import { PAUSE_WORDS } from '@/text/en/pause'
import { Button } from '@/ui/button'
import { later } from '@/ui/later'
import { AskReason } from './ask-reason'
import { type Card, type StepProps, sinceLastAct } from './use-card'

// Only a layer asks for it.
const CoatLogForm = later(() => import('./coat-log').then(({ CoatLogForm: form }) => form))

/** The bar stays in sight wherever one is on the card; what it asks does not, and is brought there as soon as it stands. */
function useInSight(asking: string | undefined) {
  const ref = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const box = ref.current
    if (!asking || !box) return undefined
    const stands = new ResizeObserver(() => {
      if (box.offsetHeight === 0) return
      box.scrollIntoView({ block: 'nearest' })
      stands.disconnect()
    })
    stands.observe(box)
    return () => stands.disconnect()
  }, [asking])
  return ref
}

export function Actions({
  card,
  operation,
  me,
  against,
}: StepProps & {
  /** What speaks against beginning it now. */
  against: readonly string[]
}) {
  const { view, state, now } = card
  const [asking, setAsking] = useState<'pause' | 'coat' | 'begin' | 'done'>()
  const ready = useReady()
  const asked = useInSight(asking)
  const progress = progressAt({ ...view.live, progress: state.progress }, operation, now)
  const rests = pausedNow(workOn(state, operation.id))
  const id = operation.id
  const large = 'min-h-14 px-7 text-lg'
  if (progress.kind === 'open')
    return (
      <ActionBar>
        {asking === 'begin' ? (
          <AskReason
            words="Start anyway"
            onReason={(despite) => card.add(me, { kind: 'begin', operation: id, despite })}
            onLeave={() => setAsking(undefined)}
          >
            {against.map((words) => (
              <p key={words}>{words}</p>
            ))}
          </AskReason>
        ) : (
          <Button
            className={large}
            look={against.length > 0 ? 'outline' : 'solid'}
            // The second of two quick taps on “Done” must not begin what comes next.
            disabled={!ready}
            onClick={() => {
              if (against.length > 0) setAsking('begin')
              else card.add(me, { kind: 'begin', operation: id })
            }}
          >
            {against.length > 0 ? 'Start anyway' : 'Start now'}
          </Button>
        )}
        {asking !== 'begin' && against.length > 0 && <p className="text-copper">{against[0]}</p>}
      </ActionBar>
    )
  const left = leftOpen(card, operation)
  const finish = (despite?: string) =>
    coat ? setAsking('coat') : card.add(me, { kind: 'done', operation: id, ...(despite ? { despite } : {}) })
  const coat = view.sheets[id]?.coat
  return (
    // The bar stands in the step itself: nothing smaller holds it back from the lower edge.
    <>
      <div ref={asked} className="mt-5 scroll-mb-28 space-y-4 empty:hidden">
        {asking === 'pause' && (
          <ul aria-label="Why it is paused" className="flex flex-wrap gap-2">
            {PAUSE_REASONS.map((reason) => (
              <li key={reason}>
                <Button
                  look="outline"
                  onClick={() => {
                    card.add(me, { kind: 'pause', operation: id, reason })
                    setAsking(undefined)
                  }}
                >
                  {PAUSE_WORDS[reason]}
                </Button>
              </li>
            ))}
          </ul>
        )}
        {asking === 'done' && left.length > 0 && (
          <div role="alert" className="rounded border-2 border-copper p-4">
            <p className="text-copper">Still open: {left.join('; ')}.</p>
            <div className="mt-3 flex flex-wrap gap-3">
              <Button className={large} look="outline" onClick={() => finish(`open: ${left.join('; ')}`)}>
                Finish anyway
              </Button>
              <Button className={large} onClick={() => setAsking(undefined)}>
                Not yet
              </Button>
            </div>
          </div>
        )}
        {asking === 'coat' && coat && (
          <CoatLogForm
            coat={coat}
            isLayer={operation.kind === 'layer'}
            onDone={(log) => card.add(me, { kind: 'done', operation: id, coat: log })}
          />
        )}
      </div>
      <ActionBar>
        {rests ? (
          <Button
            look="outline"
            className={large}
            onClick={() => card.add(me, { kind: 'resume', operation: id })}
          >
            Go on
          </Button>
        ) : (
          <Button
            look="outline"
            className={large}
            aria-expanded={asking === 'pause'}
            onClick={() => setAsking(asking === 'pause' ? undefined : 'pause')}
          >
            Pause
          </Button>
        )}
        <Button
          className={large}
          aria-expanded={coat ? asking === 'coat' : undefined}
          onClick={() => {
            // A second tap on it is no answer to what is asked.
            if (asking === 'coat') setAsking(undefined)
            else if (left.length > 0) setAsking('done')
            else finish()
          }}
        >
          {operation.kind === 'layer' ? 'Layer finished' : 'Done'}
        </Button>
      </ActionBar>
    </>
  )
}

/** What is done next with the step: it stays at the lower edge of the tablet, wherever one has scrolled to. */
export function ActionBar({ children }: { children: ReactNode }) {
  return (
    <div
      data-bar=""
      className="sticky bottom-0 z-10 -mx-5 -mb-5 mt-4 flex flex-wrap items-center gap-3 rounded-b-md border-t border-line bg-sheet px-5 py-3"
    >
      {children}
    </div>
  )
}

/** So long after an act the buttons of the step that comes up do nothing: a second tap was meant for the one before, ms. */
export const SETTLE_MS = 600

export function useReady(): boolean {
  const [ready, setReady] = useState(() => sinceLastAct() > SETTLE_MS)
  useEffect(() => {
    if (ready) return undefined
    const timer = setTimeout(() => setReady(true), SETTLE_MS)
    return () => clearTimeout(timer)
  }, [ready])
  return ready
}

/** What the card still asks for on a step that is about to be called done. */
export function leftOpen({ view, state }: Card, operation: PlannedOperation): string[] {
  const work = workOn(state, operation.id)
  const tasks = view.sheets[operation.id]?.tasks ?? []
  const total = tasks.reduce((sum, { sections }) => sum + sections, 0)
  const done = tasks.reduce(
    (sum, { panel, sections }) => sum + Math.min(work.sections[panel]?.done ?? 0, sections),
    0,
  )
  const open = coatSections(work, tasks).filter((section) => coatStageOf(section) !== 'good').length
  const isLayer = operation.kind === 'layer'
  const unchecked = checksOf(view, operation).filter((id) => !work.checks[id])
  const short = new Set(work.short.map(({ panel }) => panel)).size
  return [
    ...(!isLayer && total > done ? [`${total - done} of ${total} sections`] : []),
    ...(isLayer && open > 0
      ? [`${open} ${open === 1 ? 'section' : 'sections'} not checked with the lamp`]
      : []),
    ...(unchecked.length > 0
      ? [`${unchecked.length} ${unchecked.length === 1 ? 'thing' : 'things'} not to be forgotten`]
      : []),
    ...(short > 0 ? [`${short} ${short === 1 ? 'panel' : 'panels'} not good enough yet`] : []),
  ]
}

export function checksOf(view: Card['view'], operation: PlannedOperation): readonly CheckId[] {
  const { operations } = view.live.plan
  // Where putting them back is a step of its own, it is written down there.
  const wheelsOff = operations.some(({ extra }) => extra === 'wheels-off') && !operations.some(isWheelsOn)
  if (operation.kind === 'finish' && wheelsOff) return [...CHECKLISTS.finish, ...WHEEL_CHECKS]
  // A coated car gets no clay.
  const clayed = view.job.kind === 'work'
  return CHECKLISTS[operation.kind].filter((check) => check !== 'tar-before-clay' || clayed)
}
