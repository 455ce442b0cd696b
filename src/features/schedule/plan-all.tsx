'use client'

import { proxy, releaseProxy, wrap } from 'comlink'
import { useRef, useState } from 'react'
import type { Proposal, ToPlan } from '@/core/planning'
import type { Region } from '@/core/region'
import type { Schedule } from '@/core/schedule'
import type { Instant } from '@/core/time'
import { offerPlan, proposePlan, whatToPlan } from '@/server/planning/plan-actions'
import { duration, number } from '@/text/formats'
import { Button } from '@/ui/button'
import { act, reach } from '@/ui/use-action'
import type { Planner, PlanProgress } from '@/workers/planner'
import { ProposedPlan } from './proposed-plan'

type Props = { region: Region; now: Instant }

/** The planning under way: it can be told to stop with what it has, or to be broken off. */
type Running = { steps: number; stop: () => void; cancel: () => void }

/** Plans everything anew beside the page, shows what that changes for whom, and asks before anything is moved. */
export function PlanAll({ region, now }: Props) {
  const [progress, setProgress] = useState<PlanProgress>()
  const [proposal, setProposal] = useState<Proposal>()
  const [message, setMessage] = useState('')
  const running = useRef<Running | undefined>(undefined)

  const plan = async () => {
    setMessage('')
    setProposal(undefined)
    setProgress({ steps: 0, lateMinutes: 0, bayMinutes: 0 })
    try {
      const told = await reach(whatToPlan(null))
      if (!told.ok) return setMessage(told.message)
      const toPlan = told.value
      const schedule = await inWorker(toPlan)
      if (!schedule) return
      const offered =
        schedule.status === 'infeasible' ? undefined : await act(offerPlan, { from: toPlan.from, schedule })
      // What finds no room here may find it where bays or windows are given up; the server knows which.
      const answer =
        !offered || (!offered.ok && offered.code === 'rule') ? await act(proposePlan, null) : offered
      if (!answer.ok) return setMessage(answer.message)
      const next = answer.value
      setProposal(next.changes.length > 0 ? next : undefined)
      if (next.changes.length === 0) setMessage('The plan that stands is as good. Nothing would change.')
    } catch {
      setMessage('The planner has failed. Nothing was changed; try again.')
    } finally {
      setProgress(undefined)
    }
  }

  /** The schedule found, or nothing where the planning was broken off. */
  const inWorker = async ({ problem, ...options }: ToPlan): Promise<Schedule | undefined> => {
    const worker = new Worker(new URL('../../workers/planner.ts', import.meta.url), { type: 'module' })
    const planner = wrap<Planner>(worker)
    const ended = new Promise<undefined>((resolve, reject) => {
      worker.onerror = () => reject(new Error('the planner failed'))
      running.current = {
        steps: options.steps,
        stop: () => void planner.stop(),
        cancel: () => resolve(undefined),
      }
    })
    // Words of progress still on their way when it ends must not set it going again.
    let under = true
    const onProgress = proxy((next: PlanProgress) => {
      if (under) setProgress(next)
    })
    try {
      const found = planner.plan(problem, options, onProgress)
      return await Promise.race([found, ended])
    } finally {
      under = false
      planner[releaseProxy]()
      worker.terminate()
      running.current = undefined
    }
  }

  return (
    <>
      <div className="flex items-center gap-3">
        <p role="status" className="text-sm text-ink-soft">
          {message}
        </p>
        <Button look="outline" disabled={progress !== undefined} onClick={plan}>
          {progress ? 'Planning…' : 'Re-plan'}
        </Button>
      </div>
      {progress && <Progress region={region} progress={progress} running={running.current} />}
      {proposal && (
        <div className="sheet order-1 w-full p-4">
          <ProposedPlan
            proposal={proposal}
            title="What a new plan would change"
            take="Take this plan"
            leave="Leave it as it is"
            region={region}
            now={now}
            onClosed={(answer) => {
              setProposal(undefined)
              if (answer) setMessage(answer.said)
            }}
          />
        </div>
      )}
    </>
  )
}

/** How far the planner is, with a way to be content with what it has, and one to break off. */
function Progress({
  region,
  progress,
  running,
}: {
  region: Region
  progress: PlanProgress
  running: Running | undefined
}) {
  const { steps, lateMinutes, bayMinutes } = progress
  return (
    <div className="sheet order-1 flex w-full flex-wrap items-center gap-x-6 gap-y-2 p-4">
      <progress
        className="h-2 w-56 appearance-none overflow-hidden rounded bg-line [&::-webkit-progress-bar]:bg-line [&::-webkit-progress-value]:bg-fern [&::-moz-progress-bar]:bg-fern"
        max={running?.steps ?? 1}
        value={steps}
        aria-label="Planning"
      />
      <p className="tabular-nums">
        {steps === 0
          ? 'Fitting every job in…'
          : `${number(region, steps)} arrangements tried. The best so far: ${lateMinutes === 0 ? 'nobody late' : `${duration(region, Math.round(lateMinutes))} late in all`}, bays held ${duration(region, 60 * Math.round(bayMinutes / 60))}.`}
      </p>
      <span className="ml-auto flex gap-2">
        <Button look="outline" disabled={!running || steps === 0} onClick={() => running?.stop()}>
          Stop and use the best so far
        </Button>
        <Button look="quiet" disabled={!running} onClick={() => running?.cancel()}>
          Cancel
        </Button>
      </span>
    </div>
  )
}
