'use client'

import { useState, useTransition } from 'react'
import type { Answer } from '@/core/answer'
import type { JobId } from '@/core/ids'
import type { Help, Proposal } from '@/core/planning'
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

/** What would help a promise, each with the chance it would then have; it is looked at before it holds. */
export function TryHelp({ job, names, region, now }: Props) {
  const { run, pending, refusal } = useAction()
  const [helps, setHelps] = useState<Answer<Help[]>>()
  const [asking, startAsking] = useTransition()
  const [proposal, setProposal] = useState<Proposal>()
  const [said, setSaid] = useState('')
  const known = helps?.ok ? helps.value : []
  const ask = () => startAsking(async () => setHelps(await reach(whatHelps({ job }))))
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
      {!helps && (
        <Button look="quiet" disabled={asking} onClick={ask}>
          {asking ? 'Trying…' : 'What would help?'}
        </Button>
      )}
      {known.length === 0 && helps && (
        <p className="text-sm text-ink-soft">
          {helps.ok ? 'No small step helps: tell the customer.' : helps.message}
        </p>
      )}
      <ul className="flex flex-wrap gap-2 empty:hidden">
        {known.map((help) => (
          <li key={help.kind === 'moves' ? help.kind : `${help.person} ${help.from}`}>
            <Button look="outline" disabled={pending} onClick={() => tryOut(help)}>
              {helpText(help, names, region, now)}: {chanceText(region, help.chance)}
            </Button>
          </li>
        ))}
      </ul>
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
              if (answer?.taken) setHelps(undefined)
            }}
          />
        </div>
      )}
    </>
  )
}

function helpText(help: Help, names: Record<string, string>, region: Region, now: Instant): string {
  if (help.kind === 'moves') return 'Move its own steps'
  const who = names[help.person] ?? help.person
  return help.kind === 'stays'
    ? `${who} stays until ${moment(region, help.until, now)}`
    : `${who} comes in ${moment(region, help.from, now)} to ${clock(region, help.until)}`
}
