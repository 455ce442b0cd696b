'use client'

import { useState } from 'react'
import type { BudgetBuys } from '@/core/offer'
import type { Region } from '@/core/region'
import { minorDigits, money } from '@/text/formats'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { DayInput } from '@/ui/day-input'
import { Field } from '@/ui/field'
import { MomentInput } from '@/ui/moment-input'
import { NumberInput } from '@/ui/number-input'
import { useRegion } from '@/ui/region'
import type { Draft } from './use-draft'

type Props = {
  draft: Draft
  /** Work on it has begun: it does not come on another day. */
  isHere: boolean
  edit: (change: () => void) => void
}

/** Another day for a job that is agreed, or another budget: what that buys is taken into the change. */
export function OtherDay({ draft, isHere, edit }: Props) {
  const region = useRegion()
  const [budget, setBudget] = useState('')
  const [bought, setBought] = useState<BudgetBuys | 'unread' | 'none'>()
  const errorAt = (path: string) => (draft.issue?.path.at(-1) === path ? draft.issue.message : undefined)
  const buy = () => {
    const amount = numberOf(budget)
    if (!Number.isFinite(amount) || amount <= 0) return setBought('unread')
    edit(() => setBought(draft.buy(Math.round(amount * 10 ** minorDigits(region))) ?? 'none'))
  }
  return (
    <div className="space-y-3">
      {isHere ? (
        <p className="text-[15px] text-ink-soft">The car is here: its work has begun.</p>
      ) : (
        <MomentInput
          label="Comes on"
          value={draft.comes}
          error={errorAt('comesAt')}
          onChange={(comes) => edit(() => draft.setComes(comes))}
        />
      )}
      <Field label="Wanted back by (optional)" error={errorAt('wantedBy')}>
        <DayInput value={draft.wantedBy} onChange={(day) => edit(() => draft.setWantedBy(day))} />
      </Field>
      <div className="grid grid-cols-[1fr_auto] items-end gap-2">
        <Field label="Budget for all of it">
          <NumberInput value={budget} onChange={setBudget} />
        </Field>
        <Button look="outline" onClick={buy}>
          What it buys
        </Button>
      </div>
      {bought && <p data-testid="budget-buys">{boughtText(region, bought)}</p>}
    </div>
  )
}

function boughtText(region: Region, bought: BudgetBuys | 'unread' | 'none'): string {
  if (bought === 'unread') return 'Type an amount of money.'
  if (bought === 'none') return 'No method can be changed any more.'
  return bought.kind === 'bought'
    ? `The best it buys comes to ${money(region, bought.cents)}; its methods are taken over below.`
    : `Nothing under this package fits: the least is ${money(region, bought.leastCents)}. Take another package, or drop something.`
}
