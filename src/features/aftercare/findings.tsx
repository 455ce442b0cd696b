import type { GuaranteeAnswer } from '@/core/aftercare'
import type { JobId, VehicleId } from '@/core/ids'
import type { Region } from '@/core/region'
import { GUARANTEE_RULE } from '@/text/en/coating'
import { percent } from '@/text/formats'
import { ButtonLink } from '@/ui/button'
import { BookRepair } from './book-repair'

export type FindingView = {
  unit: string
  name: string
  holds: number
  /** A panel can be coated again by itself; another surface is quoted. */
  isPanel: boolean
  guarantee?: GuaranteeAnswer
}

type Props = {
  visitId: JobId
  vehicleId: VehicleId
  findings: readonly FindingView[]
  /** How many parts there are on that car, and of how many the water was seen at this visit. */
  of: number
  inspected: number
  repair?: { id: string; number: number; onGuarantee: boolean }
  region: Region
  today: string
}

/** What the look has found, whether the shop stands for it, and what can be done. */
export function Findings({ visitId, vehicleId, findings, of, inspected, repair, region, today }: Props) {
  if (findings.length === 0)
    return (
      <p className="max-w-prose" data-testid="findings">
        {inspected === 0
          ? 'Nothing has been inspected at this visit yet.'
          : 'Nothing has failed. Tell the owner what the outlook says.'}
      </p>
    )
  const most = findings.length > of / 2
  const panels = findings.filter(({ isPanel }) => isPanel)
  return (
    <div data-testid="findings">
      {most ? (
        <p className="max-w-prose">
          The coating has failed on more than half of the car. Recoating single panels makes no sense here:
          quote the whole car.
        </p>
      ) : (
        <ul>
          {findings.map((finding) => (
            <li key={finding.unit} className="border-t border-line py-2">
              <p className="font-head text-lg font-semibold text-copper">
                {finding.name}: the coating has probably failed{' '}
                <span className="font-text text-base font-normal">
                  ({percent(region, Math.round((1 - finding.holds) * 100))})
                </span>
              </p>
              <GuaranteeText answer={finding.guarantee} />
            </li>
          ))}
        </ul>
      )}
      {repair ? (
        <p className="mt-3">
          <ButtonLink look="outline" href={`/jobs/${repair.id}/schedule`}>
            Repair {repair.number}, {repair.onGuarantee ? 'on guarantee' : 'charged'}
          </ButtonLink>
        </p>
      ) : (
        <div className="mt-3 flex flex-wrap gap-3">
          {!most && panels.length > 0 && (
            <BookRepair
              visitId={visitId}
              panels={panels.map(({ unit, name }) => ({ id: unit, name }))}
              standsForAll={panels.every(({ guarantee }) => guarantee?.kind === 'yes')}
              region={region}
              today={today}
            />
          )}
          <ButtonLink look={most ? 'solid' : 'outline'} href={`/intake?vehicle=${vehicleId}`}>
            Check it in for recoating
          </ButtonLink>
        </div>
      )}
    </div>
  )
}

function GuaranteeText({ answer }: { answer: GuaranteeAnswer | undefined }) {
  if (!answer) return <p>Not inspected since it was applied: an inspection decides about the guarantee.</p>
  if (answer.kind === 'yes')
    return (
      <p>
        <strong>Under guarantee.</strong> Within its term, visits kept, tested clean
        {answer.washed ? ', washed as the care sheet asks' : '; nobody has said how it is washed'}.
      </p>
    )
  return (
    <div>
      <p className="font-semibold">{answer.kind === 'ask' ? 'Not known yet:' : 'Not under guarantee:'}</p>
      <ul className="list-disc pl-5">
        {answer.broken.map(({ id }) => (
          <li key={id}>
            {GUARANTEE_RULE[id].reason} <span className="text-ink-soft">{GUARANTEE_RULE[id].remedy}</span>
          </li>
        ))}
      </ul>
    </div>
  )
}
