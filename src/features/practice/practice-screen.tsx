'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Given } from '@/core/answer'
import {
  PRACTICE_FINDINGS,
  PRACTICE_KINDS,
  PRACTICE_PANELS,
  type PracticeFinding,
  type PracticeKind,
} from '@/core/practice'
import { type Defect, type FindingKind, letterOf, type Severity, wholeIndex } from '@/core/survey'
import { gradePanel } from '@/server/learning/practice-actions'
import { differenceText, FINDING_NAME, SEVERITY_NAME } from '@/text/en/survey'
import { figure, measured, percent } from '@/text/formats'
import { markTitle } from '@/text/marks'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Refused } from '@/ui/refused'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'
import { LitPanel } from './lit-panel'

type Graded = Given<typeof gradePanel>

type Props = {
  seed: number
  readingsUm: readonly number[]
  levelUm: number
  people: readonly { id: string; name: string }[]
}

const SEVERITIES: readonly Severity[] = [1, 2, 3]
const EXTENTS = [5, 10, 25, 50, 75, 100] as const

/** A panel nobody owns: look at it under the lamp, grade it, see how far off the eye was. */
export function PracticeScreen({ seed, readingsUm, levelUm, people }: Props) {
  const region = useRegion()
  const router = useRouter()
  const [person, setPerson] = useState<string>()
  const [finding, setFinding] = useState<PracticeFinding>()
  const [defects, setDefects] = useState<readonly Defect[]>([])
  const [graded, setGraded] = useState<Graded>()
  const { run, pending, refusal } = useAction()
  const toggle = (kind: PracticeKind) =>
    setDefects(
      defects.some((defect) => defect.kind === kind)
        ? defects.filter((defect) => defect.kind !== kind)
        : [...defects, { kind, severity: 2, extentPercent: 50, catchesNail: kind === 'chips' }],
    )
  const edit = (kind: Defect['kind'], part: Partial<Defect>) =>
    setDefects(defects.map((defect) => (defect.kind === kind ? { ...defect, ...part } : defect)))
  const grade = () => run(gradePanel, { seed, person: person ?? '', grade: { finding, defects } }, setGraded)
  return (
    <div className="grid gap-6 p-5 lg:grid-cols-[minmax(0,1fr)_25rem]">
      <section>
        <div className="mb-3 flex flex-wrap items-baseline justify-between gap-3">
          <h1 className="text-3xl">Train the eye</h1>
          <p className="text-ink-soft">
            Panel {seed} of {PRACTICE_PANELS}
          </p>
        </div>
        <LitPanel seed={seed} />
        <div className="mt-4 flex flex-wrap items-baseline gap-x-6 gap-y-1">
          <p>
            The gauge reads{' '}
            <strong>{readingsUm.map((um) => figure(region, 'depth', um)).join(', ')} µm</strong>
          </p>
          <p className="text-ink-soft">Its neighbours agree on {measured(region, 'depth', levelUm)}.</p>
        </div>
        <div className="mt-3">
          <Choice
            label="What does the paint depth say?"
            options={PRACTICE_FINDINGS.map((value) => ({ value, name: FINDING_NAME[value] }))}
            value={finding}
            onChange={(value) => !graded && setFinding(value)}
          />
        </div>
      </section>
      <aside className="space-y-4">
        {graded ? (
          <Result
            graded={graded}
            onNext={() => router.push(`/practice?panel=${(seed % PRACTICE_PANELS) + 1}`)}
          />
        ) : (
          <section className="sheet space-y-4 p-4" aria-label="Your grade">
            <Choice
              label="Who is grading?"
              options={people.map(({ id, name }) => ({ value: id, name }))}
              value={person}
              onChange={setPerson}
            />
            <fieldset>
              <legend className="mb-1 font-head text-sm font-semibold">What do you see?</legend>
              <div className="flex flex-wrap gap-1.5">
                {PRACTICE_KINDS.map((kind) => (
                  <button
                    key={kind}
                    type="button"
                    aria-pressed={defects.some((defect) => defect.kind === kind)}
                    className="min-h-11 rounded border border-ink-soft/45 bg-sheet px-3 text-[15px] hover:bg-lichen aria-pressed:border-fern aria-pressed:bg-fern aria-pressed:text-on-fern"
                    onClick={() => toggle(kind)}
                  >
                    {markTitle(region, kind)}
                  </button>
                ))}
              </div>
            </fieldset>
            {defects.map((defect) => (
              <div key={defect.kind} className="space-y-2 rounded bg-lichen/60 p-3">
                <p className="font-head font-semibold">{markTitle(region, defect.kind)}</p>
                <Choice
                  label="How bad?"
                  options={SEVERITIES.map((value) => ({ value, name: SEVERITY_NAME[value] }))}
                  value={defect.severity}
                  onChange={(severity) => edit(defect.kind, { severity })}
                />
                <Choice
                  label="On how much of it, %?"
                  options={EXTENTS.map((value) => ({ value, name: String(value) }))}
                  value={defect.extentPercent as (typeof EXTENTS)[number]}
                  onChange={(extentPercent) => edit(defect.kind, { extentPercent })}
                />
              </div>
            ))}
            <Refused refusal={refusal} />
            <Button className="w-full" disabled={pending} onClick={grade}>
              Submit grade
            </Button>
          </section>
        )}
      </aside>
    </div>
  )
}

function Result({ graded: { own, truth, colleagues }, onNext }: { graded: Graded; onNext: () => void }) {
  const region = useRegion()
  const marks = [
    { name: 'You', index: own.indexGraded, strong: true },
    ...colleagues.map(({ name, indexGraded }) => ({ name, index: indexGraded, strong: false })),
  ]
  return (
    <section className="sheet p-4" aria-label="How close you came" data-testid="practice-result">
      <p className="flex items-baseline gap-3">
        <span className="font-head text-5xl font-bold">{own.nearness.toFixed(0)}</span>
        <span className="text-ink-soft">of 100</span>
      </p>
      <p className="mt-2 text-[15px]">
        You: {letterOf(own.indexGraded)} {wholeIndex(own.indexGraded)}. The model: {letterOf(own.indexTrue)}{' '}
        {wholeIndex(own.indexTrue)}.
      </p>
      <p className="mt-1 text-[15px]">
        By its paint depth the panel is{' '}
        <strong>{FINDING_NAME[truth.finding as FindingKind].toLowerCase()}</strong>
        {own.findingRight ? ', as you said.' : <span className="text-copper">, not what you said.</span>}
      </p>
      <IndexLine truth={own.indexTrue} marks={marks} />
      <h2 className="mt-3 text-lg">What was on it</h2>
      <ul className="text-[15px]">
        {truth.defects.map(({ kind, severity, extentPercent }) => (
          <li key={kind}>
            {markTitle(region, kind)}, {SEVERITY_NAME[severity]}, {percent(region, extentPercent)}
          </li>
        ))}
      </ul>
      {own.differences.length > 0 && (
        <ul className="mt-2 text-[15px] text-copper">
          {own.differences.map((difference, at) => (
            <li key={at}>{differenceText(region, difference)}</li>
          ))}
        </ul>
      )}
      <p className="mt-2 text-sm text-ink-soft">
        {colleagues.length === 0
          ? 'Nobody else has graded this panel yet.'
          : `Colleagues came within ${Math.round(Math.max(...colleagues.map(({ nearness }) => nearness)))} at best.`}
      </p>
      <Button className="mt-4 w-full" onClick={onNext}>
        Next panel
      </Button>
    </section>
  )
}

/** Where the model, oneself and the colleagues stand on the index from 0 to 100. */
function IndexLine({
  truth,
  marks,
}: {
  truth: number
  marks: { name: string; index: number; strong: boolean }[]
}) {
  const x = (index: number) => 10 + index * 3.2
  const rows = [...marks].sort((a, b) => a.index - b.index)
  return (
    <svg
      viewBox={`0 0 340 ${34 + rows.length * 16}`}
      className="mt-3 w-full"
      role="img"
      aria-label={`Model ${truth.toFixed(0)}; ${marks.map(({ name, index }) => `${name} ${wholeIndex(index)}`).join(', ')}`}
    >
      <line x1={10} x2={330} y1={18} y2={18} className="stroke-ink-soft" />
      {[0, 35, 55, 75, 90, 100].map((index) => (
        <g key={index}>
          <line x1={x(index)} x2={x(index)} y1={14} y2={18} className="stroke-ink-soft" />
          <text x={x(index)} y={10} textAnchor="middle" fontSize={9} className="fill-ink-soft">
            {index}
          </text>
        </g>
      ))}
      <path d={`M${x(truth)},18 l-5,-9 h10 Z`} className="fill-fern" />
      <line
        x1={x(truth)}
        x2={x(truth)}
        y1={18}
        y2={34 + rows.length * 16}
        className="stroke-fern"
        strokeDasharray="2 3"
      />
      {rows.map(({ name, index, strong }, row) => (
        <g key={name}>
          <circle
            cx={x(index)}
            cy={32 + row * 16}
            r={4.5}
            className={strong ? 'fill-copper' : 'fill-ink-soft'}
          />
          <text
            x={index > 60 ? x(index) - 8 : x(index) + 8}
            y={36 + row * 16}
            textAnchor={index > 60 ? 'end' : 'start'}
            fontSize={11}
            className="fill-ink"
          >
            {name} {wholeIndex(index)}
          </text>
        </g>
      ))}
    </svg>
  )
}
