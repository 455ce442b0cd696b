import { PANEL_GROUPS, panelGroup } from '@/core/correction'
import type { JobId } from '@/core/ids'
import type { Region } from '@/core/region'
import type { VehicleJudgement } from '@/core/survey'
import { factorOf, type StudyInput, studyGroup } from '@/core/test-spot'
import { GROUP, hardnessText, wordOf } from '@/text/en/correction'
import { PatientLink } from '@/ui/patient-link'

type Props = { jobId: JobId; study: StudyInput; judgement: VehicleJudgement; region: Region }

/** How hard this paint is, group by group; the way to the test spot. */
export function SpotStrip({ jobId, study, judgement, region }: Props) {
  const present = new Set(judgement.panels.map(panelGroup))
  return (
    <section
      aria-label="Paint hardness"
      className="mb-5 flex flex-wrap items-center gap-x-8 gap-y-0.5 rounded bg-lichen/60 px-4 py-1.5 text-[15px]"
    >
      {PANEL_GROUPS.filter((group) => present.has(group)).map((group) => {
        const { recall, attempts, give, settled } = studyGroup(group, study)
        const { cars } = recall
        return (
          <p key={group}>
            <span className="text-ink-soft">{GROUP[group].name}:</span>{' '}
            {settled ? (
              <strong>{wordOf(study.methods, settled.key)} was enough</strong>
            ) : attempts.length > 0 ? (
              <strong>still trying</strong>
            ) : (
              'no test spot yet'
            )}
            <span className="text-ink-soft">
              , {hardnessText(region, factorOf(give).factor)}
              {cars > 0 ? ` (from ${cars === 1 ? 'one car' : `${cars} cars`})` : ''}
            </span>
          </p>
        )
      })}
      <PatientLink
        className="inline-flex min-h-11 items-center underline underline-offset-4"
        href={`/jobs/${jobId}/spots`}
      >
        Record a test spot
      </PatientLink>
    </section>
  )
}
