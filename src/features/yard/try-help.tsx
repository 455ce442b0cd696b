'use client'

import { useState, useTransition } from 'react'
import type { Answer } from '@/core/answer'
import type { JobId } from '@/core/ids'
import type { Advice, Help, Proposal } from '@/core/planning'
import type { Region } from '@/core/region'
import { clockIn, dayIn, type Instant } from '@/core/time'
import { foresee, foreseeSurer } from '@/server/planning/outage-actions'
import { whatHelps } from '@/server/planning/promise-actions'
import { chanceText } from '@/text/chance'
import { clock, moment } from '@/text/formats'
import { Button } from '@/ui/button'
import { reach, useAction } from '@/ui/use-action'
import { ProposedPlan } from '../schedule/proposed-plan'

type Props = {
  job: JobId
  names: Record<string, string>
  region: Region
  now: Instant
}

const NO_ADVICE: Advice = { helps: [] }

/** What would help a promise, each with the chance it would then have; it is looked at before it holds. */
export function TryHelp({ job, names, region, now }: Props) {
  const { run, pending, refusal } = useAction()
  const [advice, setAdvice] = useState<Answer<Advice>>()
  const [asking, startAsking] = useTransition()
  const [proposal, setProposal] = useState<Proposal>()
  const [said, setSaid] = useState('')
  const { helps, instead } = advice?.ok ? advice.value : NO_ADVICE
  const ask = () => startAsking(async () => setAdvice(await reach(whatHelps({ job }))))
  const tryOut = (help: Help) => {
    setSaid('')
    if (help.kind === 'moves') return run(foreseeSurer, { job }, setProposal)
    const at = (instant: Instant) => ({
      day: dayIn(region.timezone, instant),
      time: clockIn(region.timezone, instant),
    })
    return run(
      foresee,
      { what: { kind: 'extra', id: help.person }, from: at(help.from), until: at(help.until) },
      setProposal,
    )
  }
  return (
    <>
      {!advice && (
        <Button look="quiet" disabled={asking} onClick={ask}>
          {asking ? 'Trying…' : 'What would help?'}
        </Button>
      )}
      <ul className="flex flex-wrap gap-2 empty:hidden">
        {helps.map((help) => (
          <li key={help.kind === 'moves' ? help.kind : `${help.person} ${help.from}`}>
            <Button look="outline" disabled={pending} onClick={() => tryOut(help)}>
              {helpText(help, names, region, now)}: {chanceText(region, help.chance)}
            </Button>
          </li>
        ))}
      </ul>
      {advice && (
        <p className="text-sm text-ink-soft empty:hidden">
          {advice.ok ? insteadText(helps.length > 0, instead, region, now) : advice.message}
        </p>
      )}
      <p role="status" className="w-full text-sm text-ink-soft empty:hidden">
        {refusal?.message ?? said}
      </p>
      {proposal && (
        <div className="w-full pb-3">
          <ProposedPlan
            proposal={proposal}
            title="What follows"
            take="Do it"
            leave="Not now"
            region={region}
            now={now}
            onClosed={(answer) => {
              setProposal(undefined)
              if (answer) setSaid(answer.said)
              if (answer?.taken) setAdvice(undefined)
            }}
          />
        </div>
      )}
    </>
  )
}

/** What can be told to the customer where the promise cannot be made sure enough. */
function insteadText(
  somethingHelps: boolean,
  instead: Advice['instead'],
  region: Region,
  now: Instant,
): string {
  const tell = instead && `${moment(region, instead.at, now)} (${chanceText(region, instead.chance)})`
  if (somethingHelps) return tell ? `Or tell the customer: ${tell}.` : ''
  return tell ? `No small step helps. Tell the customer: ${tell}.` : 'No small step helps: tell the customer.'
}

function helpText(help: Help, names: Record<string, string>, region: Region, now: Instant): string {
  if (help.kind === 'moves') return 'Move its own steps'
  const who = names[help.person] ?? help.person
  return help.kind === 'stays'
    ? `${who} stays until ${moment(region, help.until, now)}`
    : `${who} comes in ${moment(region, help.from, now)} to ${clock(region, help.until)}`
}
