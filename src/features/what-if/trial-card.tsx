'use client'

import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import type { ShopTrial } from '@/core/what-if'
import { forgetTrial } from '@/server/what-if/what-if-actions'
import { counted } from '@/text/en/counted'
import { balanceText, changeName, demandText, differenceText } from '@/text/en/what-if'
import { moment, number } from '@/text/formats'
import { Button } from '@/ui/button'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'
import { FigureLegend, FigureRows } from './figure-rows'

type Props = { trial: ShopTrial; region: Region; now: Instant }

/** What one change would buy: what is booked on one side, the year on the other. */
export function TrialCard({ trial, region, now }: Props) {
  const { id, change, about, weeklyCents, bought, triedAt } = trial
  const { booked, year } = bought
  const { run, pending, refusal } = useAction()
  const name = changeName(region, change, about)
  const balance = year && balanceText(region, year, weeklyCents)
  return (
    <article className="sheet p-4" aria-label={name}>
      <header className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-xl">{name}</h2>
        <span className="text-sm text-ink-soft">Tried {moment(region, triedAt, now)}</span>
      </header>
      {balance && (
        <p className="mt-1 text-lg">
          {balance.brings} <strong>{balance.paid}</strong>
        </p>
      )}
      <div className="mt-4 grid gap-x-8 gap-y-6 lg:grid-cols-2">
        <section>
          <h3 className="border-b border-line pb-1 text-lg">What is booked</h3>
          {booked.kind === 'compared' ? (
            <>
              <p className="mt-1 mb-3 text-[15px]">
                {counted(region, booked.cars, 'car')}, re-planned. {differenceText(booked.figures)}
              </p>
              <FigureRows figures={booked.figures} region={region} />
            </>
          ) : (
            <p className="mt-1">
              {booked.kind === 'nothing'
                ? 'Nothing is booked.'
                : 'Not everything that is booked finds room as it stands. Put that right on the schedule first.'}
            </p>
          )}
        </section>
        <section>
          <h3 className="border-b border-line pb-1 text-lg">The past year again</h3>
          {year ? (
            <>
              <p className="mt-1 mb-3 text-[15px]">
                Demand {demandText(trial.busier)}. {differenceText(year.figures)}{' '}
                <Lost year={year} region={region} />
              </p>
              <FigureRows figures={year.figures} region={region} />
            </>
          ) : (
            <p className="mt-1">
              No car has been handed over in the past year, so there is nothing to compare with yet.
            </p>
          )}
        </section>
      </div>
      <div className="mt-3 flex flex-wrap items-center justify-between gap-3">
        <FigureLegend />
        <Refused refusal={refusal} />
        <Button look="quiet" disabled={pending} onClick={() => run(forgetTrial, { id })}>
          Remove
        </Button>
      </div>
    </article>
  )
}

/** Owners who would have gone elsewhere. */
function Lost({ year, region }: { year: NonNullable<ShopTrial['bought']['year']>; region: Region }) {
  const [before, after] = [year.lost.before.mean, year.lost.after.mean].map(Math.round) as [number, number]
  if (before === 0 && after === 0) return <>Every owner could be given a date.</>
  return before === after ? (
    <>{counted(region, before, 'owner')} would not wait so long.</>
  ) : (
    <>
      {number(region, before)} owners would not wait so long as it is, {number(region, after)} with the
      change.
    </>
  )
}
