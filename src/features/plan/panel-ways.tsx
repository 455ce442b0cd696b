'use client'

import { RadioGroup } from 'radix-ui'
import { clearedBy, type MethodKey, type PanelOption, type PanelWays as Ways } from '@/core/correction'
import type { JobId } from '@/core/ids'
import { seedOf } from '@/core/lamp'
import { wholeIndex } from '@/core/survey'
import { methodTitle, toolsText } from '@/text/en/correction'
import { FORBIDDEN } from '@/text/en/forbidden'
import { whyThis } from '@/text/en/offer'
import { staffPanel, staffPanelName } from '@/text/en/staff-panels'
import { SEVERITY_NAME } from '@/text/en/survey'
import { duration, measured, number, percent } from '@/text/formats'
import { markTitle } from '@/text/marks'
import { later } from '@/ui/later'
import { useRegion } from '@/ui/region'

import { Consent } from './consent'

// The drawing comes when a panel is looked at.
const UnderLamp = later(() => import('../lamp/under-lamp').then(({ UnderLamp: view }) => view))

type Props = {
  ways: Ways
  chosen: PanelOption
  /** Which car it is of, and the word for its colour. */
  car: { plate: string; colour: string }
  /** The job, and the panels on which its customer has agreed to what is only done by consent. */
  job: { id: JobId; consented: readonly string[] }
  onLock: (process: MethodKey | undefined) => void
}

/** What is open to one panel, what is not and why; a process can be held there, and the rest is solved around it. */
export function PanelWays({ ways, chosen, car, job, onLock }: Props) {
  const region = useRegion()
  const { judged, open, forbidden, locked, all } = ways
  const agreed = job.consented.includes(judged.panel.id)
  const asksConsent = forbidden.some(({ broken }) => broken.some(({ level }) => level === 'consent'))
  const defects = judged.condition.costs.map(({ defect }) => defect)
  return (
    <section className="sheet p-4" aria-label={`Ways for the ${staffPanelName(region, judged.panel.id)}`}>
      <header className="flex flex-wrap items-baseline justify-between gap-2">
        <h3 className="text-xl">{staffPanel(region, judged.panel.id)}</h3>
        <p className="text-sm text-ink-soft">
          safe to remove {measured(region, 'depth', judged.budget.budgetUm, 1)},{' '}
          {judged.inspected ? `condition ${wholeIndex(judged.condition.index)}` : 'not inspected'}
        </p>
      </header>
      <RadioGroup.Root
        className="mt-2 grid gap-1.5"
        aria-label="Method"
        value={chosen.method.key}
        onValueChange={(key) => onLock(key as MethodKey)}
      >
        {open.map(({ method, removalUm, minutes, indexAfter }) => (
          <RadioGroup.Item
            key={method.key}
            value={method.key}
            className="flex min-h-11 flex-wrap items-center justify-between gap-x-3 rounded border border-ink-soft/40 px-3 py-1.5 text-left text-[15px] hover:bg-lichen data-[state=checked]:border-fern data-[state=checked]:ring-2 data-[state=checked]:ring-fern"
          >
            <span className="font-head font-semibold">{methodTitle(method)}</span>
            <span className="text-sm text-ink-soft">
              {measured(region, 'depth', removalUm, 1)}, {duration(region, minutes)}
              {judged.inspected && `, to ${wholeIndex(indexAfter)}`}
            </span>
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      {locked ? (
        <button
          type="button"
          className="mt-2 min-h-11 underline underline-offset-4"
          onClick={() => onLock(undefined)}
        >
          Locked to this. Unlock
        </button>
      ) : (
        <p className="mt-2 text-sm text-ink-soft">Chosen by the curve. Touch one to lock it.</p>
      )}
      <p className="mt-2 border-l-4 border-fern-soft pl-3 text-[15px]">{whyThis(region, chosen, all)}</p>
      {chosen.cautions.map(({ id }) => (
        <p key={id} className="mt-2 border-l-4 border-copper bg-copper-soft px-3 py-1 text-[15px]">
          {FORBIDDEN[id]}
        </p>
      ))}
      {(asksConsent || agreed) && <Consent jobId={job.id} panel={judged.panel.id} agreed={agreed} />}
      <Inside option={chosen} ways={ways} />
      {defects.length > 0 && (
        <div className="mt-3">
          <UnderLamp
            panel={judged.panel.id}
            colour={judged.paint.system === 'gloss-plastic' ? 'black' : (judged.paint.colour ?? car.colour)}
            before={{ seed: seedOf(`${car.plate} ${judged.panel.id}`), defects }}
            work={{ ...chosen.cut, hazePoints: chosen.hazePoints }}
          />
        </div>
      )}
      {forbidden.length > 0 && (
        <ul className="mt-2 border-t border-line pt-2 text-sm">
          {[...new Set(forbidden.map(({ broken }) => broken[0]!.id))].map((rule) => (
            <li key={rule} className="text-ink-soft">
              <strong className="text-copper">
                {forbidden
                  .filter(({ broken }) => broken[0]!.id === rule)
                  .map(({ method }) => methodTitle(method))
                  .join(' · ')}
                : no.
              </strong>{' '}
              {FORBIDDEN[rule]}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

/** What the chosen process does here: to each defect, with which pad, and what its minutes are made of. */
function Inside({ option, ways }: { option: PanelOption; ways: Ways }) {
  const region = useRegion()
  const defects = ways.judged.condition.costs.map(({ defect }) => defect)
  const { cut } = option
  return (
    <div className="mt-3 grid gap-x-6 gap-y-2 text-sm sm:grid-cols-2">
      {defects.length > 0 && (
        <ul aria-label="Expected of each defect">
          {defects.map((defect) => (
            <li
              key={`${defect.kind}-${defect.severity}-${defect.catchesNail}`}
              className="flex justify-between gap-3 border-b border-line py-1"
            >
              <span>
                {markTitle(region, defect.kind)}, {SEVERITY_NAME[defect.severity]}
              </span>
              <span className="text-ink-soft">
                {clearedBy(defect, cut) === 0
                  ? 'remains'
                  : `${percent(region, Math.round(100 * clearedBy(defect, cut)))} removed`}
              </span>
            </li>
          ))}
          {option.hazePoints > 0 && (
            <li className="flex justify-between gap-3 py-1">
              <span>Haze left</span>
              <span className="text-ink-soft">{number(region, option.hazePoints, 1)} points</span>
            </li>
          )}
        </ul>
      )}
      {option.method.steps.length > 0 && (
        <ul aria-label="Steps and their minutes">
          {option.method.steps.map((step, at) => {
            const part = option.parts[at]!
            return (
              <li key={at} className="border-b border-line py-1">
                <span className="block">{toolsText(step)}</span>
                <span className="text-ink-soft">
                  {duration(region, part.minutes)}: {number(region, part.sections, 1)} sections ×{' '}
                  {step.passes} passes {duration(region, part.machine)}, wiping and checking{' '}
                  {duration(region, part.handling)}, setting up {duration(region, part.changeOver)}
                </span>
              </li>
            )
          })}
        </ul>
      )}
    </div>
  )
}
