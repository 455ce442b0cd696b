'use client'

import { type ReactNode, useState } from 'react'
import type { PersonId } from '@/core/ids'
import { POLISHING_SCHOOLS, type PolishingSchool } from '@/core/offer'
import { SHARING, type Sharing, SURE_MARKS, type SureMark, UNAGREED, type Unagreed } from '@/core/planning'
import type { Quantity } from '@/core/region'
import type { Inspector, WashSetup } from '@/core/shop'
import { SCHOOLS, type School } from '@/core/survey'
import { drawnShare, lanceBottle, WASH_SCHOOLS } from '@/core/wash'
import { keepShop } from '@/server/shop/shop-actions'
import { chanceText } from '@/text/chance'
import { lanceErrorText } from '@/text/en/wash'
import { measured, percent, unitSign } from '@/text/formats'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { Refused } from '@/ui/refused'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'
import { InspectorChoice } from './inspector-choice'
import { POLISHING_NAME, SCHOOL_NAME, SHARING_NAME, UNAGREED_NAME, WASH_SCHOOL_NAME } from './way-names'

type Typed = Record<'bucket' | 'spray' | 'cap' | 'bottle' | 'seconds' | 'flow', string>

function typedOf({ gear }: WashSetup): Typed {
  return {
    bucket: String(gear.bucketMl / 1000),
    spray: String(gear.sprayMl),
    cap: String(gear.capMl),
    bottle: String(gear.lance.bottleMl),
    seconds: String(gear.lance.emptySeconds),
    flow: String(gear.lance.flowLPerMin),
  }
}

const gearOf = (typed: Typed): WashSetup['gear'] => ({
  bucketMl: numberOf(typed.bucket) * 1000,
  sprayMl: numberOf(typed.spray),
  capMl: numberOf(typed.cap),
  lance: {
    bottleMl: numberOf(typed.bottle),
    emptySeconds: numberOf(typed.seconds),
    flowLPerMin: numberOf(typed.flow),
  },
})

/** How the shop judges and washes: its schools, its own bottles, buckets and lance. */
export function ShopScreen({
  school,
  polishing: storedPolishing,
  sharing: storedSharing,
  unagreed: storedUnagreed,
  sure: storedSure,
  inspector: storedInspector,
  people,
  wash,
  version: readAt,
  rooms,
}: {
  school: School
  polishing: PolishingSchool
  sharing: Sharing
  unagreed: Unagreed
  sure: SureMark
  inspector: Inspector
  people: readonly { id: PersonId; name: string }[]
  wash: WashSetup
  version: number
  /** The ways to what else is set. */
  rooms: ReactNode
}) {
  const [judging, setJudging] = useState(school)
  const [polishing, setPolishing] = useState(storedPolishing)
  const [sharing, setSharing] = useState(storedSharing)
  const [unagreed, setUnagreed] = useState(storedUnagreed)
  const [sure, setSure] = useState(storedSure)
  const [inspector, setInspector] = useState(storedInspector)
  const [washing, setWashing] = useState(wash.school)
  const [place, setPlace] = useState({ drain: wash.drain, hose: wash.hose })
  const [typed, setTyped] = useState(typedOf(wash))
  const [version, setVersion] = useState(readAt)
  const { run, pending, refusal, isDone, clear } = useAction()
  const region = useRegion()
  const text = (field: keyof Typed, label: string, quantity?: Quantity) => (
    <Field label={quantity ? `${label}, ${unitSign(region, quantity)}` : label}>
      <NumberInput
        {...(quantity ? { quantity } : {})}
        value={typed[field]}
        onChange={(value) => {
          setTyped({ ...typed, [field]: value })
          clear()
        }}
      />
    </Field>
  )
  const keep = () =>
    run(
      keepShop,
      {
        version,
        school: judging,
        polishing,
        sharing,
        unagreed,
        sure,
        inspector,
        wash: { school: washing, ...place, gear: gearOf(typed) },
      },
      (kept) => setVersion(kept.version),
    )
  return (
    <div className="mx-auto max-w-4xl p-5">
      <h1 className="text-3xl">How this shop works</h1>
      {rooms}
      <Part title="Judging paint" words="Where both are asked, the one that spares more paint decides.">
        <Choice
          label="How the safe limit is set"
          options={SCHOOLS.map((value) => ({ value, name: SCHOOL_NAME[value] }))}
          value={judging}
          onChange={setJudging}
        />
      </Part>
      <Part title="Polishing" words="Plans and job cards follow it; the minutes are the same.">
        <Choice
          label="Order at the machine"
          options={POLISHING_SCHOOLS.map((value) => ({ value, name: POLISHING_NAME[value] }))}
          value={polishing}
          onChange={setPolishing}
        />
        <Choice
          label="Hands at the machine"
          options={SHARING.map((value) => ({ value, name: SHARING_NAME[value] }))}
          value={sharing}
          onChange={setSharing}
        />
      </Part>
      <Part
        title="Keeping promises"
        words="Work takes longer than planned now and then. A date is given so that it is kept so often; the surer, the later. Yard warns when a promise becomes less sure than this."
      >
        <Choice
          label="A promised date is kept"
          options={SURE_MARKS.map((value) => ({ value, name: chanceText(region, value) }))}
          value={sure}
          onChange={(value) => {
            setSure(value)
            clear()
          }}
        />
      </Part>
      <Part
        title="Changed at the car"
        words="When another method at the car would cost the customer more, the office puts it to them. Until they have answered:"
      >
        <Choice
          label="The panels it is about"
          options={UNAGREED.map((value) => ({ value, name: UNAGREED_NAME[value] }))}
          value={unagreed}
          onChange={setUnagreed}
        />
      </Part>
      <Part
        title="Final inspection"
        words="It is done by somebody who did not work on the paint. Where there is nobody:"
      >
        <InspectorChoice
          inspector={inspector}
          people={people}
          error={refusal?.field === 'inspector.manager' ? refusal.message : undefined}
          onChange={setInspector}
        />
      </Part>
      <Part title="Decontamination" words="The order of every wash plan follows it.">
        <Choice
          label="Order"
          options={WASH_SCHOOLS.map((value) => ({ value, name: WASH_SCHOOL_NAME[value] }))}
          value={washing}
          onChange={setWashing}
        />
      </Part>
      <Part title="Water" words="Where either is missing, a rinseless wash is planned.">
        {(
          [
            ['hose', 'Running water at the wash bay'],
            ['drain', 'A drain that may take wash water'],
          ] as const
        ).map(([key, label]) => (
          <label key={key} className="flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              className="size-6 shrink-0 accent-fern"
              checked={place[key]}
              onChange={(event) => setPlace({ ...place, [key]: event.target.checked })}
            />
            {label}
          </label>
        ))}
      </Part>
      <Part title="Bottles and buckets" words="Every dilution is given in what to pour for these.">
        <div className="grid gap-4 sm:grid-cols-3">
          {text('bucket', 'Bucket', 'water')}
          {text('spray', 'Spray bottle', 'volume')}
          {text('cap', 'One capful', 'volume')}
        </div>
      </Part>
      <Part
        title="Foam lance"
        words="Fill its bottle with water, open it fully, and time how long it takes to empty. The flow stands on the washer, or a bucket and a watch tell it."
      >
        <div className="grid gap-4 sm:grid-cols-3">
          {text('bottle', 'Bottle', 'volume')}
          {text('seconds', 'Empties in, s')}
          {text('flow', 'Flow, l/min')}
        </div>
        <LanceReading gear={gearOf(typed)} />
      </Part>
      <div className="mt-6 flex items-center gap-4">
        <Button disabled={pending} onClick={keep}>
          Save
        </Button>
        {isDone && <p role="status">Saved. New plans follow it.</p>}
        <Refused refusal={refusal} />
      </div>
    </div>
  )
}

/** What the lance on this washer does, worked out while it is typed. */
function LanceReading({ gear: { lance } }: { gear: WashSetup['gear'] }) {
  const region = useRegion()
  const bottle = lanceBottle(lance, 0.04)
  const drawn = drawnShare(lance)
  return (
    <p className="mt-2 text-[15px]" aria-live="polite">
      {bottle.ok ? (
        <>
          It draws <strong>{percent(region, 100 * drawn, 1)}</strong> of the flow from its bottle. For 4% on
          the panel pour <strong>{measured(region, 'volume', bottle.value.productMl)}</strong> of foam and{' '}
          {measured(region, 'volume', bottle.value.waterMl)} of water.
        </>
      ) : (
        <span className="text-copper">{lanceErrorText(region, bottle.error)}</span>
      )}
    </p>
  )
}

function Part({ title, words, children }: { title: string; words: string; children: ReactNode }) {
  return (
    <section className="mt-6 border-t border-line pt-4 md:grid md:grid-cols-[14rem_1fr] md:gap-8">
      <div className="mb-3">
        <h2 className="text-lg">{title}</h2>
        <p className="text-sm text-ink-soft">{words}</p>
      </div>
      <div>{children}</div>
    </section>
  )
}
